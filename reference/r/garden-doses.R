# Five gardens with four doses of four boxes each, three of them with losses: the line through the doses, two-stage with metafor.
# Run from the project's folder: Rscript reference/r/garden-doses.R   (R 4.2 with metafor, jsonlite)
suppressMessages({ library(metafor); library(jsonlite) })
options(digits = 15)
set.seed(20261201)

# Invented, with a seed: what is checked is the sums, not the gardens.
gardens <- paste("Garden", LETTERS[1:5])
doses <- c(0, 2, 4, 8)
d <- expand.grid(pot = 1:4, dose = doses, garden = gardens, stringsAsFactors = FALSE)
level <- setNames(exp(rnorm(5, log(1500), 0.2)), gardens)
slope <- setNames(rnorm(5, 0.05, 0.02), gardens)
d$g <- round(level[d$garden] * (1 + slope[d$garden] * d$dose) * (1 + rnorm(nrow(d), 0, 0.1)))
# Lost: two boxes in one garden, three of one dose in another; a whole dose in a third, where no line through all can be told.
d$g[d$garden == "Garden B"][c(2, 9)] <- NA
d$g[d$garden == "Garden D" & d$dose == 4][1:3] <- NA
d$g[d$garden == "Garden E" & d$dose == 2] <- NA
write.csv(d[, c("garden", "dose", "pot", "g")], "reference/data/garden-doses.csv", row.names = FALSE, quote = FALSE, na = "")

d <- d[!is.na(d$g), ]
# The line through what the doses came to, each dose with equal weight, at the largest and at the smallest.
at <- function(x) 1 / length(doses) + (x - mean(doses)) * (doses - mean(doses)) / sum((doses - mean(doses))^2)
most <- at(max(doses)); least <- at(min(doses))
each <- do.call(rbind, lapply(gardens[1:4], function(g) {
  fit <- lm(g ~ 0 + factor(dose), d[d$garden == g, ])
  m <- coef(fit); V <- vcov(fit); n <- as.numeric(table(d$dose[d$garden == g]))
  high <- sum(most * m); low <- sum(least * m); way <- most / high - least / low
  data.frame(garden = g, difference = high - low, se = sqrt(drop(t(most - least) %*% V %*% (most - least))),
    log = log(high / low), logSe = sqrt(drop(t(way) %*% V %*% way)), df = fit$df.residual, share = sum((most - least)^2 / n))
}))
# Weighed by the number of boxes and the common variance of one: the gardens' own, by their degrees of freedom.
common <- function(se) sqrt(each$share * sum(each$df * each[[se]]^2 / each$share) / sum(each$df))
pool <- function(y, se, told, threshold) {
  found <- rma(yi = each[[y]], sei = common(se), method = "REML", test = "knha", control = list(threshold = threshold, maxiter = 100000))
  list(gardens = found$k, estimate = as.numeric(found$beta), se = found$se, low = told(found$ci.lb), high = told(found$ci.ub), p = found$pval, tau2 = found$tau2)
}
write_json(list(
  each = each[, c("garden", "difference", "se", "log", "logSe", "df")],
  shares = pool("log", "logSe", function(x) 100 * expm1(x), 1e-12),
  differences = pool("difference", "se", identity, 1e-6)
), "reference/results/garden-doses.json", digits = I(12), auto_unbox = TRUE, pretty = TRUE)

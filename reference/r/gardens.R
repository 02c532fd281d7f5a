# Ten gardens with five treatments of four pots each, three of them with losses: two-stage with metafor, all pots in one with nlme.
# Run from the project's folder: Rscript reference/r/gardens.R   (R 4.2 with metafor, nlme, MASS, jsonlite)
suppressMessages({ library(metafor); library(nlme); library(MASS); library(jsonlite) })
options(digits = 15)
set.seed(20261130)

# Invented, with a seed: what is checked is the sums, not the gardens.
gardens <- paste("Garden", LETTERS[1:10])
soils <- c("clay", "sand", "loam", "clay", "sand", "loam", "clay", "sand", "loam", "clay")
treatments <- c("plain water", paste("feed", 1:4))
effect <- c(0, 0.18, 0.02, -0.12, 0.30)
d <- expand.grid(pot = 1:4, treatment = treatments, garden = gardens, stringsAsFactors = FALSE)
level <- setNames(exp(rnorm(10, log(400), 0.25)), gardens)
own <- matrix(rnorm(50, 0, 0.08), 10, 5, dimnames = list(gardens, treatments))
d$soil <- soils[match(d$garden, gardens)]
d$g <- round(level[d$garden] * exp(effect[match(d$treatment, treatments)] + own[cbind(d$garden, d$treatment)] + (d$soil == "sand" & d$treatment == "feed 1") * 0.1) * (1 + rnorm(nrow(d), 0, 0.12)))
# Lost: two pots in one garden, a whole treatment in another, five here and there in a third.
d$g[d$garden == "Garden B"][c(3, 10)] <- NA
d$g[d$garden == "Garden E" & d$treatment == "feed 3"] <- NA
d$g[d$garden == "Garden H"][c(1, 2, 7, 14, 20)] <- NA
write.csv(d[, c("garden", "soil", "treatment", "pot", "g")], "reference/data/ten-gardens.csv", row.names = FALSE, quote = FALSE, na = "")

d <- d[!is.na(d$g), ]
d$treatment <- factor(d$treatment, levels = treatments)
each <- do.call(rbind, lapply(gardens, function(g) {
  own <- droplevels(d[d$garden == g, ])
  fit <- lm(g ~ 0 + treatment, own)
  m <- coef(fit); names(m) <- levels(own$treatment); V <- vcov(fit); dimnames(V) <- list(names(m), names(m))
  c0 <- "plain water"
  do.call(rbind, lapply(setdiff(names(m), c0), function(t) data.frame(garden = g, soil = own$soil[1], treatment = t,
    log = log(m[[t]] / m[[c0]]), logSe = sqrt(V[t, t] / m[[t]]^2 + V[c0, c0] / m[[c0]]^2),
    difference = m[[t]] - m[[c0]], se = sqrt(V[t, t] + V[c0, c0]), df = fit$df.residual, share = 1 / sum(own$treatment == t) + 1 / sum(own$treatment == c0))))
}))
# To what a variance of logarithms, or one of grams squared, can be told.
tight <- list(threshold = 1e-12, maxiter = 100000)
rough <- list(threshold = 1e-6, maxiter = 100000)
# Weighed by the number of pots and the common variance of one: the gardens' own, by their degrees of freedom.
common <- function(rows, se) sqrt(rows$share * sum(rows$df * rows[[se]]^2 / rows$share) / sum(rows$df))
pool <- function(t, y, se, told, control = tight) {
  rows <- each[each$treatment == t, ]
  found <- rma(yi = rows[[y]], sei = common(rows, se), method = "REML", test = "knha", control = control)
  data.frame(treatment = t, gardens = found$k, estimate = as.numeric(found$beta), se = found$se, low = told(found$ci.lb), high = told(found$ci.ub), p = found$pval, tau2 = found$tau2, i2 = found$I2, q = found$QE, qP = found$QEp)
}
by_soil <- function(t) {
  rows <- each[each$treatment == t, ]; rows$common <- common(rows, "logSe")
  # Fewer than three gardens of a soil say nothing of it.
  rows <- rows[table(rows$soil)[rows$soil] >= 3, ]; rows$soil <- factor(rows$soil)
  found <- rma(yi = log, sei = common, mods = ~ 0 + soil, data = rows, method = "REML", test = "knha", control = tight)
  against <- rma(yi = log, sei = common, mods = ~ soil, data = rows, method = "REML", test = "knha", control = tight)
  list(treatment = t, levels = levels(rows$soil), estimate = as.numeric(found$beta), se = found$se, low = found$ci.lb, high = found$ci.ub, tau2 = found$tau2, f = against$QM, p = against$QMp)
}
tests <- treatments[-1]

# All pots in one: gardens and treatments fixed, treatment by garden random.
d$cell <- interaction(d$garden, d$treatment, drop = TRUE)
whole <- lme(g ~ garden + treatment, random = ~ 1 | cell, data = d, method = "REML", control = lmeControl(tolerance = 1e-12, msTol = 1e-14, opt = "optim", reltol = 1e-15))
s <- summary(whole)$tTable[paste0("treatment", tests), ]
mixed <- list(contrasts = data.frame(treatment = tests, difference = s[, "Value"], se = s[, "Std.Error"], p = s[, "p-value"]), df = unname(s[1, "DF"]),
  unitSd = whole$sigma, gardenSd = as.numeric(VarCorr(whole)[1, "StdDev"]))

# Open data: barley at six places (immer, MASS; Immer, Hayes & Powers 1934), the two years as the two plots of a place.
b <- with(immer, data.frame(place = rep(as.character(Loc), 2), year = rep(c("1931", "1932"), each = nrow(immer)), variety = rep(as.character(Var), 2), y = c(Y1, Y2)))
b$variety <- relevel(factor(b$variety), "M"); b$cell <- interaction(b$place, b$variety)
barley <- lme(y ~ block + variety, random = ~ 1 | cell, data = transform(b, block = factor(paste(place, year))), method = "REML", control = lmeControl(tolerance = 1e-12, msTol = 1e-14, opt = "optim", reltol = 1e-15))
sb <- summary(barley)$tTable; sb <- sb[grepl("^variety", rownames(sb)), ]
write.csv(b[, c("place", "year", "variety", "y")], "reference/data/barley-places.csv", row.names = FALSE, quote = FALSE)

write_json(list(
  shares = do.call(rbind, lapply(tests, pool, "log", "logSe", function(x) 100 * expm1(x))),
  differences = do.call(rbind, lapply(tests, pool, "difference", "se", identity, rough)),
  soils = lapply(tests, by_soil), mixed = mixed,
  barley = list(contrasts = data.frame(treatment = sub("^variety", "", rownames(sb)), difference = sb[, "Value"], se = sb[, "Std.Error"]), unitSd = barley$sigma, gardenSd = as.numeric(VarCorr(barley)[1, "StdDev"]))
), "reference/results/gardens.json", digits = I(12), auto_unbox = TRUE, pretty = TRUE)

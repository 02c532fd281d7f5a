# Writes reference/results/layouts.json and the CSVs it rests on: what R says of one open dataset for each layout.
# Run: Rscript reference/r/layouts.R   (R 4.2 with MASS, emmeans, lme4, mvtnorm, jsonlite)
#   OrchardSprays (datasets): Latin square 8 x 8.   sleep (datasets): pairs.   MASS oats: split plot.   MASS immer: several sites.
#   catalyst: balanced incomplete blocks, the chemical process example of Montgomery, Design and Analysis of Experiments,
#   chapter on incomplete blocks (readings from memory: their total sum of squares, 81.00, is the printed one).
suppressMessages({ library(MASS); library(emmeans); library(jsonlite); library(mvtnorm); library(lme4) })
options(contrasts = c("contr.treatment", "contr.poly"), digits = 15)
set.seed(1)
write <- function(d, name) write.csv(d, paste0("reference/data/", name, ".csv"), row.names = FALSE, quote = FALSE)

anova_rows <- function(a, drop = FALSE) lapply(seq_len(nrow(a)), function(i) list(term = sub("Residuals", "residual", trimws(rownames(a)[i])), df = a$Df[i], ss = a$`Sum Sq`[i],
  ms = a$`Mean Sq`[i], f = if (is.na(a$`F value`[i])) NULL else a$`F value`[i], p = if (is.na(a$`Pr(>F)`[i])) NULL else a$`Pr(>F)`[i]))
dunnett_p <- function(t, df, corr) sapply(t, function(each) 1 - pmvt(rep(-abs(each), nrow(corr)), rep(abs(each), nrow(corr)), df = df, corr = corr,
  algorithm = GenzBretz(maxpts = 3e5, abseps = 1e-5))[1])
fixed <- function(name, d, f, treatment, control) {
  d[[treatment]] <- relevel(factor(d[[treatment]]), ref = control)
  fit <- lm(f, data = d)
  em <- emmeans(fit, treatment)
  plain <- summary(contrast(em, "trt.vs.ctrl", ref = 1), infer = TRUE, adjust = "none")
  corr <- cov2cor(vcov(contrast(em, "trt.vs.ctrl", ref = 1)))
  list(name = name, anova = anova_rows(anova(fit)),
    contrasts = data.frame(treatment = levels(d[[treatment]])[-1], difference = plain$estimate, se = plain$SE, df = plain$df, t = plain$t.ratio, p = plain$p.value,
      low = plain$lower.CL, high = plain$upper.CL, pAdjusted = if (nrow(plain) > 1) dunnett_p(plain$t.ratio, fit$df.residual, corr) else plain$p.value),
    means = data.frame(treatment = as.character(summary(em)[[treatment]]), mean = summary(em)$emmean))
}

write(OrchardSprays, "orchard-sprays")
latin <- fixed("orchard-sprays", transform(OrchardSprays, rowpos = factor(rowpos), colpos = factor(colpos)), decrease ~ rowpos + colpos + treatment, "treatment", "H")

write(sleep, "sleep")
pairs <- fixed("sleep", sleep, extra ~ ID + group, "group", "1")
paired <- t.test(sleep$extra[sleep$group == 2], sleep$extra[sleep$group == 1], paired = TRUE)
signs <- as.matrix(expand.grid(rep(list(c(-1, 1)), 10)))
d <- sleep$extra[sleep$group == 2] - sleep$extra[sleep$group == 1]
flips <- mean(abs(signs %*% d) >= abs(sum(d)) - 1e-9)

immer_long <- rbind(data.frame(Loc = immer$Loc, Var = immer$Var, Year = "1931", Y = immer$Y1), data.frame(Loc = immer$Loc, Var = immer$Var, Year = "1932", Y = immer$Y2))
write(immer, "immer")
sites <- fixed("immer", immer, Y1 ~ Loc + Var, "Var", "M")
write(immer_long, "immer-years")
years <- fixed("immer-years", immer_long, Y ~ Loc + Year + Var, "Var", "M")

catalyst <- data.frame(batch = c(1, 2, 4, 2, 3, 4, 1, 2, 3, 1, 3, 4), catalyst = rep(c("A", "B", "C", "D"), each = 3), time = c(73, 74, 71, 75, 67, 72, 73, 75, 68, 75, 72, 75))
write(catalyst, "catalyst")
incomplete <- fixed("catalyst", transform(catalyst, batch = factor(batch)), time ~ batch + catalyst, "catalyst", "A")

write(transform(oats, N = sub("cwt", "", N)), "oats")
oats$N <- factor(sub("cwt", "", oats$N))
strata <- summary(aov(Y ~ V * N + Error(B/V), data = oats))
split_of <- function(d) {
  d$cell <- relevel(factor(paste(d$V, d$N, sep = ":")), ref = "Golden.rain:0.0")
  fit <- lmer(Y ~ B + cell + (1 | B:V), data = d)
  em <- emmeans(fit, "cell", lmer.df = "asymptotic")
  k <- contrast(em, "trt.vs.ctrl", ref = 1)
  s <- summary(k, adjust = "none")
  list(contrasts = data.frame(treatment = levels(d$cell)[-1], difference = s$estimate, se = s$SE), sigma2 = sigma(fit)^2, whole = as.numeric(VarCorr(fit)[[1]]))
}
# Satterthwaite (1946) from the two strata: Var(d) = a Ea + b Eb.
whole <- split_of(oats)
ea <- strata[["Error: B:V"]][[1]]; eb <- strata[["Error: Within"]][[1]]
lost <- oats[-c(3, 20, 41, 42, 60), ]
write(transform(lost, N = as.character(N)), "oats-lost-plots")
# Least squares with two strata, written out with matrices: Ea's expectation is s2 + n0 s2(whole plots).
strata_of <- function(d) {
  d$cell <- relevel(factor(paste(d$V, d$N, sep = ":")), ref = "Golden.rain:0.0")
  x <- model.matrix(~ B + cell, d); z <- model.matrix(~ 0 + factor(paste(B, V)), d); y <- d$Y
  hat_of <- function(m) { q <- qr(m); qq <- qr.Q(q)[, seq_len(q$rank)]; qq %*% t(qq) }
  hx <- hat_of(x); hxz <- hat_of(cbind(x, z)); n <- nrow(d)
  dfa <- round(sum(diag(hxz)) - sum(diag(hx))); dfb <- round(n - sum(diag(hxz)))
  ea <- sum(((hxz - hx) %*% y)^2) / dfa; eb <- sum((y - hxz %*% y)^2) / dfb
  n0 <- sum(diag(t(z) %*% (diag(n) - hx) %*% z)) / dfa
  w <- (solve(crossprod(x)) %*% t(x))[grep("^cell", colnames(x)), ]
  a <- rowSums((w %*% z)^2) / n0; b <- rowSums(w^2) - a
  data.frame(treatment = levels(d$cell)[-1], difference = as.numeric(w %*% y), se = sqrt(a * ea + b * eb), df = (a * ea + b * eb)^2 / ((a * ea)^2 / dfa + (b * eb)^2 / dfb))
}
split <- list(name = "oats", whole = anova_rows(ea), within = anova_rows(eb), blocks = list(df = strata[["Error: B"]][[1]]$Df, ss = strata[["Error: B"]][[1]]$`Sum Sq`),
  contrasts = whole$contrasts, lost = strata_of(lost))

grid <- do.call(rbind, lapply(1:100, function(i) {
  kind <- c("t", "anova")[1 + i %% 2]; k <- c(2, 3, 4, 6, 8)[1 + (i %/% 2) %% 5]; n <- c(2, 3, 4, 6, 9, 14, 20, 33)[1 + i %% 8]
  shift <- c(0.2, 0.5, 0.8, 1.1, 1.5, 2.2, 3)[1 + i %% 7]; alpha <- c(0.05, 0.01, 0.1)[1 + i %% 3]; sd <- c(1, 0.3, 25)[1 + (i %/% 3) %% 3]
  power <- if (kind == "t") power.t.test(n, delta = shift * sd, sd = sd, sig.level = alpha, strict = TRUE)$power
    else power.anova.test(groups = k, n = n, between.var = (shift * sd)^2 / (2 * (k - 1)), within.var = sd^2, sig.level = alpha)$power
  data.frame(kind = kind, groups = k, n = n, delta = shift * sd, sd = sd, alpha = alpha, power = power)
}))
# The chance that one treatment D better than the control is seen at Dunnett's two-sided critical value.
dunnett <- do.call(rbind, lapply(list(c(3, 6, 1.5), c(4, 5, 1.2), c(6, 4, 2), c(8, 4, 2.7), c(8, 10, 1)), function(s) {
  k <- s[1]; n <- s[2]; shift <- s[3]; df <- k * (n - 1); corr <- matrix(0.5, k - 1, k - 1); diag(corr) <- 1
  critical <- qmvt(0.95, tail = "both.tails", df = df, corr = corr, algorithm = GenzBretz(maxpts = 3e5, abseps = 1e-5))$quantile
  runs <- 200000
  noise <- matrix(rnorm(runs * 2, 0, 1 / sqrt(n)), runs); s2 <- rchisq(runs, df) / df
  data.frame(groups = k, n = n, delta = shift, power = mean(abs(shift + noise[, 1] - noise[, 2]) / sqrt(2 * s2 / n) > critical))
}))
writeLines(toJSON(list(fixed = list(latin, pairs, sites, years, incomplete), paired = list(t = unname(paired$statistic), df = unname(paired$parameter), p = paired$p.value, flips = flips),
  split = split, power = grid, dunnett = dunnett), digits = NA, auto_unbox = TRUE, null = "null", pretty = TRUE), "reference/results/layouts.json")

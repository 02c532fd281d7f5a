# Writes reference/results/judge.json: what R says of open datasets that ship with it, and of one unbalanced blocked case.
# Run: Rscript reference/r/judge.R   (R 4.2 with multcomp, emmeans, jsonlite; PlantGrowth, chickwts, InsectSprays, npk: package datasets)
suppressMessages({ library(multcomp); library(emmeans); library(jsonlite) })
options(contrasts = c("contr.treatment", "contr.poly"))
set.seed(1)

anova_rows <- function(fit) {
  a <- anova(fit)
  lapply(seq_len(nrow(a)), function(i) list(term = sub("Residuals", "residual", trimws(rownames(a)[i])), df = a$Df[i],
    ss = a$`Sum Sq`[i], ms = a$`Mean Sq`[i], f = if (is.na(a$`F value`[i])) NULL else a$`F value`[i], p = if (is.na(a$`Pr(>F)`[i])) NULL else a$`Pr(>F)`[i]))
}

comparisons <- function(name, d, response, treatment, blocks = NULL, control = levels(d[[treatment]])[1]) {
  d[[treatment]] <- relevel(factor(d[[treatment]]), ref = control)
  f <- as.formula(paste(response, "~", paste(c(blocks, treatment), collapse = "+")))
  fit <- lm(f, data = d)
  em <- emmeans(fit, treatment)
  plain <- summary(contrast(em, "trt.vs.ctrl", ref = control), infer = TRUE, adjust = "none")
  g <- glht(fit, linfct = do.call(mcp, setNames(list("Dunnett"), treatment)))
  s <- summary(g, test = adjusted("single-step", abseps = 1e-7, maxpts = 5e6))
  ci <- confint(g, calpha = qmvt(0.95, tail = "both.tails", corr = cov2cor(vcov(g)), df = fit$df.residual, algorithm = GenzBretz(maxpts = 5e6, abseps = 1e-7))$quantile)
  tk <- summary(contrast(em, "pairwise"), infer = TRUE, adjust = "tukey")
  list(name = name, response = response, treatment = treatment, blocks = blocks, control = control,
    anova = anova_rows(fit),
    contrasts = data.frame(treatment = levels(d[[treatment]])[-1], difference = plain$estimate, se = plain$SE, df = plain$df, t = plain$t.ratio,
      p = plain$p.value, low = plain$lower.CL, high = plain$upper.CL, pAdjusted = as.numeric(s$test$pvalues), lowAdjusted = ci$confint[, "lwr"], highAdjusted = ci$confint[, "upr"]),
    pairs = data.frame(pair = as.character(tk$contrast), difference = tk$estimate, low = tk$lower.CL, high = tk$upper.CL, pAdjusted = tk$p.value),
    means = data.frame(treatment = as.character(summary(em)[[treatment]]), mean = summary(em)$emmean))
}

write_data <- function(d, file) write.csv(d, file.path("reference/data", file), row.names = FALSE, quote = FALSE)
write_data(PlantGrowth, "plant-growth.csv")
write_data(chickwts, "chickwts.csv")
write_data(InsectSprays, "insect-sprays.csv")
n <- npk; n$cell <- with(n, paste0("N", N, "P", P, "K", K))
write_data(n, "npk.csv")

# An unbalanced blocked case: warpbreaks-like numbers would be balanced, so npk's plots with four of them lost.
u <- droplevels(n[-c(2, 9, 16, 23), ]); u$N <- factor(u$N); u$feed <- factor(ifelse(u$K == "1", "potash", ifelse(u$N == "1", "nitrogen", "none")))
write_data(u[, c("block", "feed", "yield")], "npk-lost-plots.csv")

full <- lm(yield ~ block + N * P * K, data = n)
out <- list(r = R.version.string,
  cases = list(
    comparisons("plant-growth", PlantGrowth, "weight", "group"),
    comparisons("chickwts", chickwts, "weight", "feed", control = "casein"),
    comparisons("insect-sprays", InsectSprays, "count", "spray", control = "C"),
    comparisons("npk-lost-plots", u, "yield", "feed", blocks = "block", control = "none")),
  npk = list(anova = anova_rows(full)))

set.seed(7)
brown <- function(y, g) { d <- abs(y - ave(y, g, FUN = median)); a <- anova(lm(d ~ g)); list(f = a$`F value`[1], p = a$`Pr(>F)`[1]) }
out$brownForsythe <- brown(InsectSprays$count, InsectSprays$spray)
chick <- lm(weight ~ feed, chickwts); out$rstudent <- as.numeric(rstudent(chick))
out$tukey <- lapply(list(c(3.5, 3, 27), c(4.2, 6, 35), c(2.1, 2, 1), c(9, 8, 4)), function(x) list(q = x[1], k = x[2], df = x[3], p = ptukey(x[1], x[2], x[3], lower.tail = FALSE)))
out$fTail <- pf(2000, 5, 12, lower.tail = FALSE)
out$power <- lapply(list(c(17, 1), c(6, 1.5)), function(x) { n <- x[1]; d <- x[2]; list(n = n, shift = d, power = power.t.test(n = n, delta = d, strict = TRUE)$power) })
writeLines(toJSON(out, auto_unbox = TRUE, digits = 12, pretty = TRUE, null = "null"), "reference/results/judge.json")

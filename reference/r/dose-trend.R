# The straight trend of doses dealt in blocks: its slope, and its error after the blocks have taken their degrees of freedom.
# Run: Rscript reference/r/dose-trend.R   (R 4.2 with jsonlite; MASS oats as reference/data holds it, whole and with plots lost)
suppressMessages(library(jsonlite))
trend <- function(file) {
  d <- read.csv(file.path("reference/data", file))
  fit <- lm(Y ~ factor(B) + N, d)
  s <- summary(fit)$coefficients["N", ]
  # Block effects where doses are taken as they are, levels of a factor: what is taken out of a point before a curve is laid.
  f <- lm(Y ~ factor(B) + factor(N), d)
  e <- c(0, coef(f)[grep("^factor\\(B\\)", names(coef(f)))])
  list(file = file, slope = s[[1]], se = s[[2]], p = s[[4]], df = fit$df.residual, blocks = unname(e - mean(e)), names = levels(factor(d$B)))
}
write_json(lapply(c("oats.csv", "oats-lost-plots.csv"), trend), "reference/results/dose-trend.json", digits = 12, auto_unbox = TRUE, pretty = TRUE)

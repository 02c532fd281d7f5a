# Seasons taken together: the logarithm of treated over control of each, with its error, by REML and Hartung & Knapp.
# Run from the project's folder: Rscript reference/r/seasons.R   (R 4.2 with MASS, emmeans, metafor, jsonlite)
suppressMessages({ library(MASS); library(emmeans); library(metafor); library(jsonlite) })

# Barley at six places in two years (immer, MASS; Immer, Hayes & Powers 1934): five varieties, Manchuria (M) the old one.
immer <- transform(immer, Loc = as.character(Loc), Var = as.character(Var))
season <- function(column, losses = integer(0)) {
  d <- transform(immer, y = immer[[column]])
  d$y[losses] <- NA
  fit <- lm(y ~ Loc + Var, d)
  means <- emmeans(fit, ~Var)
  m <- setNames(summary(means)$emmean, summary(means)$Var)
  V <- vcov(means)
  dimnames(V) <- list(names(m), names(m))
  do.call(rbind, lapply(setdiff(names(m), "M"), function(v) {
    variance <- V[v, v] / m[[v]]^2 + V["M", "M"] / m[["M"]]^2 - 2 * V[v, "M"] / (m[[v]] * m[["M"]])
    data.frame(treatment = v, estimate = log(m[[v]] / m[["M"]]), se = sqrt(variance))
  }))
}
# In the second year two plots are taken away, so that the means of the varieties are no longer free of each other.
years <- list(season("Y1"), season("Y2", c(2, 8)))
together <- lapply(years[[1]]$treatment, function(v) {
  rows <- do.call(rbind, lapply(years, function(y) y[y$treatment == v, ]))
  found <- rma(yi = rows$estimate, sei = rows$se, method = "REML", test = "knha", control = list(threshold = 1e-14, maxiter = 10000))
  data.frame(treatment = v, percent = 100 * expm1(as.numeric(found$beta)), low = 100 * expm1(found$ci.lb), high = 100 * expm1(found$ci.ub), p = found$pval, i2 = found$I2)
})
write.csv(transform(immer[, c("Loc", "Var", "Y1", "Y2")], Y2 = ifelse(seq_len(nrow(immer)) %in% c(2, 8), NA, Y2)), "reference/data/barley-seasons.csv", row.names = FALSE)
write_json(list(years = years, together = do.call(rbind, together)), "reference/results/seasons.json", digits = I(12), auto_unbox = TRUE, pretty = TRUE)

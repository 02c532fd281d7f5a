# What each of crossed factors does, averaged over the others and within their levels: emmeans.
# Run: Rscript reference/r/effects.R   (R 4.2 with emmeans, jsonlite; warpbreaks, ToothGrowth, npk: package datasets)
suppressMessages({ library(emmeans); library(jsonlite) })

write_data <- function(d, file) write.csv(d, file.path("reference/data", file), row.names = FALSE, quote = FALSE)

# Each level against the first of its factor. by: NULL averages over the other factors with equal weight.
effects <- function(fit, d, factor, by = NULL) {
  e <- emmeans(fit, factor, by = by, data = d)
  s <- as.data.frame(summary(contrast(e, "trt.vs.ctrl", ref = 1), infer = c(TRUE, TRUE), adjust = "none"))
  data.frame(factor = factor, contrast = as.character(s$contrast),
             within = if (is.null(by)) NA else as.character(s[[by]]),
             difference = s$estimate, se = s$SE, df = s$df, p = s$p.value, low = s$lower.CL, high = s$upper.CL)
}

# With several averages or several levels the intervals are covered together: mvt, as one family.
together <- function(fit, d, factors) {
  l <- do.call(rbind, lapply(factors, function(f) contrast(emmeans(fit, f, data = d), "trt.vs.ctrl", ref = 1)))
  set.seed(1)
  s <- as.data.frame(summary(l, infer = c(TRUE, TRUE), adjust = "mvt"))
  data.frame(contrast = as.character(s$contrast), low = s$lower.CL, high = s$upper.CL, pAdjusted = s$p.value)
}

case <- function(name, d, formula, factors, file) {
  fit <- lm(formula, d)
  if (!file.exists(file.path("reference/data", file))) write_data(d, file)
  list(name = name, file = file,
       averaged = do.call(rbind, lapply(factors, function(f) effects(fit, d, f))),
       together = together(fit, d, factors),
       within = do.call(rbind, unlist(lapply(factors, function(f)
         lapply(setdiff(factors, f), function(g) cbind(effects(fit, d, f, g), other = g))), recursive = FALSE)))
}

wb <- warpbreaks
tg <- transform(ToothGrowth, dose = paste0("d", dose))
tg$supp <- factor(tg$supp, levels = c("OJ", "VC")); tg$dose <- factor(tg$dose, levels = c("d0.5", "d1", "d2"))
lost <- tg[-c(3, 4, 17, 31, 32, 33, 58), ]
cases <- list(
  case("warpbreaks", wb, breaks ~ wool * tension, c("wool", "tension"), "warpbreaks.csv"),
  case("ToothGrowth with seven animals lost", lost, len ~ supp * dose, c("supp", "dose"), "toothgrowth-lost.csv"),
  case("npk in blocks, three factors", npk, yield ~ block + (N + P + K)^2, c("N", "P", "K"), "npk.csv"))
write_json(cases, "reference/results/effects.json", digits = 12, auto_unbox = TRUE, na = "null", pretty = TRUE)

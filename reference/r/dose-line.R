# The straight line through what the doses of a series came to, each dose with equal weight, judged by the error that is left when
# every dose has its own mean: of oats by nitrogen in blocks (MASS; Yates 1935), whole and with plots lost; of breaks in warp by
# tension (datasets; Tippett 1950), counted, with the wool as block. Run from the project's folder: Rscript reference/r/dose-line.R
library(jsonlite)

line <- function(fit, doses, prefix) {
  beta <- coef(fit)
  k <- length(doses)
  at <- function(x) 1 / k + (x - mean(doses)) * (doses - mean(doses)) / sum((doses - mean(doses))^2)
  weights <- at(max(doses)) - at(min(doses))
  L <- setNames(rep(0, length(beta)), names(beta))
  L[grepl(paste0("^", prefix), names(beta))] <- weights[-1]
  difference <- sum(L * beta)
  se <- sqrt(drop(t(L) %*% vcov(fit) %*% L))
  df <- fit$df.residual
  half <- qt(.975, df) * se
  list(difference = difference, se = se, df = df, p = 2 * pt(-abs(difference / se), df), low = difference - half, high = difference + half)
}

oats <- function(file) {
  d <- read.csv(file.path("reference/data", paste0(file, ".csv")), colClasses = c(N = "character"))
  fit <- lm(Y ~ B + factor(N), d)
  c(list(file = file, response = "Y", treatment = "N", block = "B", kind = "continuous", doses = c(0, .2, .4, .6), names = c("0.0", "0.2", "0.4", "0.6")), line(fit, c(0, .2, .4, .6), "factor"))
}
breaks <- function() {
  d <- warpbreaks
  d$tension <- factor(d$tension, levels = c("L", "M", "H"))
  fit <- glm(breaks ~ wool + tension, quasipoisson, d, control = list(epsilon = 1e-14, maxit = 100))
  c(list(file = "warpbreaks", response = "breaks", treatment = "tension", block = "wool", kind = "count", doses = c(0, 1, 2), names = c("L", "M", "H")), line(fit, c(0, 1, 2), "tension"))
}
write_json(list(oats("oats"), oats("oats-lost-plots"), breaks()), "reference/results/dose-line.json", auto_unbox = TRUE, digits = 12, pretty = TRUE)

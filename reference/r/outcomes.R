# Working models of counts, shares, steps and days, and comparisons that keep each treatment's own spread.
# Run from the project's folder: Rscript reference/r/outcomes.R
library(MASS)
library(survival)
library(sandwich)
library(mvtnorm)
library(jsonlite)

write <- function(d, name) {
  write.csv(d, file.path("reference/data", paste0(name, ".csv")), row.names = FALSE)
  name
}

# Counts with an offset: car insurance claims by holders (Insurance, MASS; Baxter, Coutts & Ross 1980).
insurance <- transform(Insurance, Group = as.character(Group), Age = as.character(Age), District = paste0("d", District))
offset_fit <- glm(Claims ~ District + Age + relevel(factor(Group), "<1l") + offset(log(Holders)), quasipoisson, insurance, control = list(epsilon = 1e-14, maxit = 100))
offset_rows <- summary(offset_fit)$coefficients
offset_rows <- offset_rows[grepl("relevel", rownames(offset_rows)), ]
offsets <- list(name = write(insurance, "insurance"), contrasts = data.frame(treatment = sub(".*\\)", "", rownames(offset_rows)), ratio = exp(offset_rows[, 1]), se = offset_rows[, 2], p = offset_rows[, 4]))

# Shares of units: visits with H. influenzae by patient (bacteria, MASS; Menon), and survivors by class and age (Titanic).
patients <- aggregate(cbind(k = as.numeric(y == "y"), n = 1) ~ ID + trt, bacteria, sum)
patients$trt <- as.character(patients$trt)
people <- aggregate(Freq ~ Class + Sex + Age, subset(as.data.frame(Titanic), Survived == "Yes"), sum)
people$n <- people$Freq + aggregate(Freq ~ Class + Sex + Age, subset(as.data.frame(Titanic), Survived == "No"), sum)$Freq
people <- transform(subset(people, n > 0), k = Freq, Class = as.character(Class), Sex = as.character(Sex), Age = as.character(Age))
odds <- function(name, d, formula, prefix) {
  fit <- glm(formula, quasibinomial, d, control = list(epsilon = 1e-14, maxit = 100))
  rows <- summary(fit)$coefficients
  rows <- rows[startsWith(rownames(rows), prefix), , drop = FALSE]
  data.frame(treatment = sub(prefix, "", rownames(rows), fixed = TRUE), odds = exp(rows[, 1]), se = rows[, 2], df = fit$df.residual)
}
patients$trt <- relevel(factor(patients$trt), "placebo")
people$Sex <- relevel(factor(people$Sex), "Male")
shares <- list(
  list(name = write(patients, "bacteria-patients"), treatment = "trt", control = "placebo", blocks = I(character(0)), contrasts = odds("", patients, cbind(k, n - k) ~ trt, "trt")),
  list(name = write(people, "titanic-people"), treatment = "Sex", control = "Male", blocks = I("Class"), contrasts = odds("", people, cbind(k, n - k) ~ Class + Sex, "Sex")))

# Steps: ranks aligned by the blocks' means, then least squares of the ranks with the blocks in the model.
aligned <- function(name, response, treatment, control, block) {
  d <- read.csv(file.path("reference/data", paste0(name, ".csv")), colClasses = "character")
  y <- as.numeric(d[[response]])
  b <- factor(d[[block]])
  g <- relevel(factor(d[[treatment]]), control)
  rank <- rank(round(y - ave(y, b), 9))
  row <- summary(lm(rank ~ b + g))$coefficients
  row <- row[startsWith(rownames(row), "g"), , drop = FALSE]
  list(name = name, response = response, treatment = treatment, control = control, block = block, contrasts = data.frame(treatment = sub("^g", "", rownames(row)), t = row[, 3], p = row[, 4]))
}
steps <- list(aligned("npk-ranks", "yield", "N", "N0", "block"), aligned("oats-ranks", "Y", "N", "0.0", "B"))

# Days: pseudo-observations of the mean wait up to a day, within each group, and Student's and Welch's t of them.
rmean <- function(time, event, until) {
  fit <- survfit(Surv(time, event) ~ 1)
  unname(summary(fit, rmean = until)$table[["rmean"]])
}
waits <- function(name, time, event, group, control) {
  d <- read.csv(file.path("reference/data", paste0(name, ".csv")))
  last <- tapply(seq_len(nrow(d)), d[[group]], function(i) max(d[[time]][i]))
  open <- tapply(seq_len(nrow(d)), d[[group]], function(i) any(d[[event]][i] == 0 & d[[time]][i] == max(d[[time]][i])))
  until <- if (any(open)) min(last[open]) else max(last)
  pseudo <- unsplit(lapply(split(d, d[[group]]), function(g) {
    n <- nrow(g)
    all <- rmean(g[[time]], g[[event]], until)
    sapply(seq_len(n), function(i) n * all - (n - 1) * rmean(g[[time]][-i], g[[event]][-i], until))
  }), d[[group]])
  treated <- d[[group]] != control
  pooled <- t.test(pseudo[treated], pseudo[!treated], var.equal = TRUE)
  list(name = name, days = time, event = event, treatment = group, control = control, until = until, difference = unname(diff(rev(pooled$estimate))), se = pooled$stderr, p = pooled$p.value)
}
days <- list(waits("gehan", "time", "cens", "treat", "control"), waits("ovarian", "futime", "fustat", "rx", "rx1"))

# Each treatment's own spread. Without blocks it is Welch's t; with them HC2 and Satterthwaite's degrees of freedom.
own_spread <- function(X, y, group, contrast) {
  H <- X %*% solve(crossprod(X)) %*% t(X)
  M <- diag(nrow(X)) - H
  e <- as.vector(M %*% y)
  a <- as.vector(X %*% solve(crossprod(X)) %*% contrast)
  square <- e^2 / diag(M)
  sigma <- tapply(square, group, mean)[group]
  D <- diag(a^2 / diag(M))
  A <- M %*% D %*% M %*% diag(as.vector(sigma))
  c(estimate = sum(a * y), se = sqrt(sum(a^2 * square)), df = sum(diag(A))^2 / sum(diag(A %*% A)))
}
sprays <- InsectSprays
sprays$spray <- relevel(sprays$spray, "F")
welch <- do.call(rbind, lapply(levels(sprays$spray)[-1], function(s) {
  found <- t.test(sprays$count[sprays$spray == s], sprays$count[sprays$spray == "F"])
  data.frame(treatment = s, se = found$stderr, df = unname(found$parameter))
}))
variances <- tapply(sprays$count, sprays$spray, var) / tapply(sprays$count, sprays$spray, length)
spread <- outer(seq_along(variances[-1]), seq_along(variances[-1]), function(i, j) variances[1] + ifelse(i == j, variances[-1][i], 0))
correlation <- cov2cor(spread)
# Joint t of each comparison on its own degrees of freedom (Hasler & Hothorn 2008), between the whole numbers on either side.
set.seed(1)
joint <- function(t, df) 1 - pmvt(rep(-abs(t), 5), rep(abs(t), 5), df = df, corr = correlation, algorithm = GenzBretz(maxpts = 2e5, abseps = 1e-5))[1]
means <- tapply(sprays$count, sprays$spray, mean)
t <- (means[welch$treatment] - means["F"]) / welch$se
welch$least <- mapply(joint, t, ceiling(welch$df))
welch$most <- mapply(joint, t, floor(welch$df))
oats_fit <- lm(Y ~ B + N, oats)
X <- model.matrix(oats_fit)
blocked <- do.call(rbind, lapply(c("0.2cwt", "0.4cwt", "0.6cwt"), function(n) {
  contrast <- as.numeric(colnames(X) == paste0("N", n))
  found <- own_spread(X, oats$Y, oats$N, contrast)
  stopifnot(all.equal(unname(found["se"]), sqrt(diag(vcovHC(oats_fit, "HC2")))[[paste0("N", n)]]))
  data.frame(treatment = sub("cwt", "", n), se = unname(found["se"]), df = unname(found["df"]))
}))

write_json(list(offsets = offsets, shares = shares, steps = steps, days = days, welch = welch, blocked = blocked), "reference/results/outcomes.json", digits = I(12), auto_unbox = TRUE, pretty = TRUE)

# What the usual model of each row of `npm run simulate -- 1000 power` sees: the share of trials below the p that 5% of its own
# trials with nothing at work fall below. Prints; writes nothing. Run: Rscript reference/r/power.R [trials]
suppressMessages(library(survival))
trials <- as.integer(c(commandArgs(TRUE), 400)[1])
set.seed(1)
share <- function(pots, blocked, p, block) list(arms = 2, make = function(work) {
  luck <- if (blocked) rnorm(pots) else rep(0, pots)
  d <- expand.grid(i = 1:pots, t = 0:1)
  eta <- qlogis(ifelse(work & d$t == 1, p[2], p[1])) + block * luck[d$i]
  d$k <- rbinom(nrow(d), 20, plogis(eta)); d
}, p = function(d) {
  f <- if (blocked) glm(cbind(k, 20 - k) ~ factor(i) + factor(t), quasibinomial, d) else glm(cbind(k, 20 - k) ~ factor(t), quasibinomial, d)
  anova(f, test = "F")[["Pr(>F)"]][ifelse(blocked, 3, 2)]
})
slugs <- function(pots, m, crowding) list(arms = 2, make = function(work) {
  d <- expand.grid(i = 1:pots, t = 0:1)
  d$k <- rpois(nrow(d), ifelse(work & d$t == 1, m[2], m[1]) * exp(crowding * rnorm(nrow(d)) - crowding^2 / 2)); d
}, p = function(d) if (all(d$k == 0)) 1 else anova(glm(k ~ factor(t), quasipoisson, d), test = "F")[["Pr(>F)"]][2])
steps <- function(pots, arms) list(arms = arms, make = function(work) {
  luck <- rnorm(pots)
  d <- expand.grid(i = 1:pots, t = 0:(arms - 1))
  d$k <- pmin(5, pmax(1, round(2.5 + (work & d$t == 1) + 0.5 * luck[d$i] + 0.7 * rnorm(nrow(d))))); d
}, p = function(d) {
  f <- lm(rank(k - ave(k, i)) ~ factor(i) + factor(t), d)
  ps <- summary(f)$coefficients
  ps <- ps[grepl("factor\\(t\\)", rownames(ps)), 4]
  c(ps[1], min(1, min(ps) * length(ps)))
})
days <- function(pots, m) list(arms = 2, make = function(work) {
  luck <- rnorm(pots)
  d <- expand.grid(i = 1:pots, t = 0:1)
  d$k <- round((15 + ifelse(work & d$t == 1, m, 0)) * exp(0.15 * luck[d$i] + 0.25 * rnorm(nrow(d)))); d
}, p = function(d) summary(lm(k ~ factor(i) + factor(t), d))$coefficients["factor(t)1", 4])
rows <- list(
  "4 pots x 20 seeds, 60 v 85%" = share(4, FALSE, c(.6, .85), 0), "5 blocks x 20 seeds, 60 v 80%" = share(5, TRUE, c(.6, .8), .4),
  "6 blocks x 20 seeds, 60 v 80%" = share(6, TRUE, c(.6, .8), .4), "slugs 8 v 3, 4 pots, crowding" = slugs(4, c(8, 3), .5),
  "slugs 3 v 1, 8 pots" = slugs(8, c(3, 1), 0), "steps 1 to 5, 8 blocks" = steps(8, 2), "steps 1 to 5, 5 blocks" = steps(5, 2),
  "steps 1 to 5, 5 blocks, four arms" = steps(5, 4), "days, 5 blocks, 15 v 21" = days(5, 6))
for (name in names(rows)) {
  row <- rows[[name]]
  null <- replicate(trials, { p <- row$p(row$make(FALSE)); p[length(p)] })
  work <- replicate(trials, row$p(row$make(TRUE))[1])
  level <- sort(null, na.last = NA)[ceiling(0.05 * trials)]
  # Of several arms the level is that of the smallest p of all, and one arm's own p must lie below its share.
  if (row$arms > 2) level <- level / (row$arms - 1)
  cat(sprintf("%-40s %.1f%% at a true level of 5%%; %.1f%% at p < 0.05, where nothing at work gives %.1f%%\n", name, 100 * mean(work < level, na.rm = TRUE),
    100 * mean(work < 0.05 / max(1, row$arms - 1), na.rm = TRUE), 100 * mean(null < 0.05, na.rm = TRUE)))
}

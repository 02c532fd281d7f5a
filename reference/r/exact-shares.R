# Exact interval for the difference of two shares by the definition alone: every table enumerated, the likeliest shares found by
# a search, the level of the shares tried in 2,000 steps. Writes results/exact-shares.json. Run: Rscript reference/r/exact-shares.R (under a minute).
# Chan & Zhang (1999), Biometrics 55, 1202-1209.
library(jsonlite)

likeliest <- function(ka, na, kb, nb, d) {
  loglik <- function(pa) {
    pb <- pa - d
    term <- function(k, n, p) dbinom(k, n, min(1, max(0, p)), log = TRUE)
    max(-1e10, term(ka, na, pa) + term(kb, nb, pb))
  }
  ends <- c(max(0, d), min(1, 1 + d))
  inner <- optimize(loglik, ends, maximum = TRUE, tol = 1e-12)$maximum
  tried <- c(inner, ends)
  tried[which.max(sapply(tried, loglik))]
}

score <- function(ka, na, kb, nb, d) {
  pa <- likeliest(ka, na, kb, nb, d)
  pb <- pa - d
  gap <- ka / na - kb / nb - d
  variance <- pa * (1 - pa) / na + pb * (1 - pb) / nb
  if (variance > 1e-12) gap / sqrt(variance) else if (abs(gap) < 1e-9) 0 else sign(gap) * Inf
}

largest_chance <- function(ka, na, kb, nb, d) {
  tables <- expand.grid(a = 0:na, b = 0:nb)
  scores <- mapply(function(a, b) score(a, na, b, nb, d), tables$a, tables$b)
  far <- tables[scores >= score(ka, na, kb, nb, d) - 1e-7, ]
  levels <- seq(max(0, -d), min(1, 1 - d), length.out = 2001)
  max(sapply(levels, function(p) sum(dbinom(far$a, na, min(1, p + d)) * dbinom(far$b, nb, p))))
}

lower <- function(ka, na, kb, nb, outside) {
  seen <- ka / na - kb / nb
  if (seen <= -1) return(-1)
  low <- -1
  high <- seen
  for (i in 1:24) {
    middle <- (low + high) / 2
    if (largest_chance(ka, na, kb, nb, middle) > outside) high <- middle else low <- middle
  }
  low
}

tables <- list(c(5, 5, 0, 5), c(0, 5, 0, 5), c(4, 5, 1, 5), c(3, 8, 1, 4), c(7, 8, 2, 8), c(9, 12, 3, 10), c(1, 6, 14, 20), c(3, 3, 2, 3))
results <- lapply(tables, function(t) lapply(c(0.95, 0.9), function(confidence) {
  outside <- (1 - confidence) / 2
  list(ka = t[1], na = t[2], kb = t[3], nb = t[4], confidence = confidence, low = lower(t[1], t[2], t[3], t[4], outside), high = -lower(t[3], t[4], t[1], t[2], outside))
}))
write_json(unlist(results, recursive = FALSE), "reference/results/exact-shares.json", auto_unbox = TRUE, digits = 8, pretty = TRUE)

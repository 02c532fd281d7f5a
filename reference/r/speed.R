# How long R's compiled permutation code takes for 20,000 random deals: 48 pots, 6 treatments, 8 blocks, maximum over the
# treatments' contrasts (coin, Hothorn, Hornik, van de Wiel & Zeileis 2008). Prints milliseconds; beside it: npm run bench -- judge
# Run: Rscript reference/r/speed.R   (R 4.2 with coin)
suppressMessages(library(coin))
set.seed(1)
d <- expand.grid(treatment = factor(paste0("t", 0:5)), block = factor(1:8))
d$y <- rnorm(48, 100, 10)
for (lost in list(integer(0), c(4, 21, 42))) {
  now <- if (length(lost)) d[-lost, ] else d
  times <- replicate(15, system.time(independence_test(y ~ treatment | block, data = now, teststat = "maximum",
    distribution = approximate(nresample = 20000)))[["elapsed"]])
  cat(length(lost), "pots lost: median", 1000 * median(times), "ms of 15\n")
}

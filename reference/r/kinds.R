# Writes reference/results/kinds.json and the CSVs it rests on: what R says of named open datasets, for every kind of reading
# that is no mean, for curves, and for several sites together.
# Run: Rscript reference/r/kinds.R   (R 4.2 with MASS, coin, survival, metafor, jsonlite)
suppressMessages({ library(MASS); library(coin); library(survival); library(metafor); library(jsonlite) })
options(digits = 15)
write <- function(d, name) { write.csv(d, paste0("reference/data/", name, ".csv"), row.names = FALSE, quote = FALSE, na = ""); name }

# Counts: quasi-Poisson (stats::glm).
counts <- function(name, d, response, treatment, control, blocks = character()) {
  d[[treatment]] <- relevel(factor(d[[treatment]]), ref = control)
  fit <- glm(reformulate(c(treatment, blocks), response), quasipoisson, d, epsilon = 1e-14, maxit = 100)
  k <- summary(fit)$coefficients
  rows <- paste0(treatment, levels(d[[treatment]])[-1])
  list(name = write(d[c(response, treatment, blocks)], name), response = response, treatment = treatment, control = control, blocks = as.list(blocks), dispersion = summary(fit)$dispersion,
    contrasts = data.frame(treatment = levels(d[[treatment]])[-1], ratio = exp(k[rows, 1]), p = k[rows, 4]))
}
count_sets <- list(counts("warpbreaks", warpbreaks, "breaks", "tension", "L", "wool"), counts("insect-counts", InsectSprays, "count", "spray", "F"),
  counts("quine", quine, "Days", "Age", "F0", "Sex"), counts("seizures", subset(epil, period == 4), "y", "trt", "placebo"))

# Shares: Fisher, Cochran-Mantel-Haenszel (stats), Wilson (stats::prop.test).
fisher <- function(name, k, n) {
  d <- data.frame(treatment = c("treated", "control"), k = k, n = n)
  list(name = write(d, name), p = fisher.test(rbind(k, n - k))$p.value, wilson = prop.test(k[1], n[1], correct = FALSE)$conf.int, exact = binom.test(k[1], n[1])$conf.int)
}
ap <- with(subset(bacteria, week == 11), table(ap, y))
fisher_sets <- list(fisher("tea", c(3, 1), c(4, 4)), # Fisher (1935), the lady tasting tea
  fisher("bacteria", c(ap["a", "y"], ap["p", "y"]), c(sum(ap["a", ]), sum(ap["p", ]))),
  fisher("titanic-children", as.numeric(apply(Titanic[, , "Child", ], c(2, 3), sum)[, "Yes"]), as.numeric(rowSums(apply(Titanic[, , "Child", ], c(2, 3), sum)))))
stratified <- function(name, tables, yes, treated) {
  d <- do.call(rbind, lapply(dimnames(tables)[[3]], function(s) data.frame(block = s, treatment = c("treated", "control"), k = c(tables[treated, yes, s], tables[setdiff(dimnames(tables)[[1]], treated), yes, s]), n = c(sum(tables[treated, , s]), sum(tables[setdiff(dimnames(tables)[[1]], treated), , s])))))
  m <- mantelhaen.test(tables)
  list(name = write(d, name), p = m$p.value, statistic = as.numeric(m$statistic), odds = as.numeric(mantelhaen.test(tables[c(treated, setdiff(dimnames(tables)[[1]], treated)), c(yes, setdiff(dimnames(tables)[[2]], yes)), ])$estimate))
}
# Mantel (1963), penicillin on rabbits: the example of stats::mantelhaen.test.
rabbits <- array(c(0, 0, 6, 5, 3, 0, 3, 6, 6, 2, 0, 4, 5, 6, 1, 0, 2, 5, 0, 0), dim = c(2, 2, 5), dimnames = list(Delay = c("None", "1.5h"), Response = c("Cured", "Died"), Level = c("1/8", "1/4", "1/2", "1", "4")))
cmh_sets <- list(stratified("admissions", aperm(UCBAdmissions, c(2, 1, 3)), "Admitted", "Female"), stratified("rabbits", rabbits, "Cured", "None"))

# Steps: exact rank sum (coin), Kruskal-Wallis and Friedman (stats), ranks within blocks (by enumeration).
ranks <- function(name, d, response, treatment, control) {
  d <- d[!is.na(d[[response]]), ]
  d[[treatment]] <- relevel(factor(d[[treatment]]), ref = control)
  contrasts <- lapply(levels(d[[treatment]])[-1], function(level) { two <- droplevels(d[d[[treatment]] %in% c(control, level), ])
    list(treatment = level, p = as.numeric(pvalue(wilcox_test(reformulate(treatment, response), two, distribution = "exact")))) })
  list(name = write(d[c(response, treatment)], name), response = response, treatment = treatment, control = control, contrasts = contrasts, kruskal = kruskal.test(reformulate(treatment, response), d)$p.value)
}
rank_sets <- list(ranks("tooth-growth", subset(ToothGrowth, dose == 1)[c("len", "supp")], "len", "supp", "VC"), ranks("plant-growth-ranks", PlantGrowth, "weight", "group", "ctrl"),
  ranks("airquality", transform(subset(airquality, Month %in% c(5, 6, 8)), Month = paste0("m", Month))[c("Ozone", "Month")], "Ozone", "Month", "m5"),
  ranks("rotarod", rotarod, "time", "group", "control"), ranks("chick-weights-ranks", subset(chickwts, feed %in% c("casein", "soybean", "linseed")), "weight", "feed", "casein"))
# Exactly, by enumeration: the sums of all choices of each block, put together; coin has no exact p with blocks.
elteren <- function(name, d, response, treatment, control, block) {
  d$score <- ave(d[[response]], d[[block]], FUN = function(x) rank(x) / (length(x) + 1))
  sums <- data.frame(value = 0, count = 1)
  for (b in split(d, d[[block]])) {
    own <- table(round(combn(nrow(b), sum(b[[treatment]] != control), function(i) sum(b$score[i])), 9))
    both <- expand.grid(i = seq_len(nrow(sums)), j = seq_along(own))
    value <- round(sums$value[both$i] + as.numeric(names(own))[both$j], 9); count <- sums$count[both$i] * as.numeric(own)[both$j]
    total <- tapply(count, value, sum); sums <- data.frame(value = as.numeric(names(total)), count = as.numeric(total))
  }
  mean <- sum(sums$value * sums$count) / sum(sums$count); seen <- sum(d$score[d[[treatment]] != control])
  list(name = write(d[c(response, treatment, block)], name), response = response, treatment = treatment, control = control, block = block, p = sum(sums$count[abs(sums$value - mean) >= abs(seen - mean) - 1e-7]) / sum(sums$count))
}
elteren_sets <- list(elteren("npk-ranks", transform(npk, N = paste0("N", N)), "yield", "N", "N0", "block"), elteren("oats-ranks", transform(droplevels(subset(oats, N %in% c("0.0cwt", "0.6cwt"))), N = sub("cwt", "", N)), "Y", "N", "0.0", "B"))
# Hollander & Wolfe (1973), p. 140: the example of stats::friedman.test.
rounding <- matrix(c(5.40, 5.50, 5.55, 5.85, 5.70, 5.75, 5.20, 5.60, 5.50, 5.55, 5.50, 5.40, 5.90, 5.85, 5.70, 5.45, 5.55, 5.60, 5.40, 5.40, 5.35, 5.45, 5.50, 5.35, 5.25, 5.15, 5.00, 5.85, 5.80, 5.70, 5.25, 5.20, 5.10, 5.65, 5.55, 5.45, 5.60, 5.35, 5.45, 5.05, 5.00, 4.95, 5.50, 5.50, 5.40, 5.45, 5.55, 5.50, 5.55, 5.55, 5.35, 5.45, 5.50, 5.55, 5.50, 5.45, 5.25, 5.65, 5.60, 5.40, 5.70, 5.65, 5.55, 6.30, 6.30, 6.25), nrow = 22, byrow = TRUE)
f <- friedman.test(rounding)
friedman_sets <- list(list(name = "rounding-times", table = rounding, statistic = as.numeric(f$statistic), p = f$p.value))

# Days: log-rank and Kaplan-Meier (survival).
waits <- function(name, d, days, event, treatment, control, block = NULL) {
  d <- d[complete.cases(d[c(days, event, treatment)]), ]
  s <- Surv(d[[days]], d[[event]])
  test <- if (is.null(block)) survdiff(s ~ d[[treatment]]) else survdiff(s ~ d[[treatment]] + strata(d[[block]]))
  km <- survfit(s ~ d[[treatment]])
  until <- min(tapply(d[[days]], d[[treatment]], max))
  table <- summary(km, rmean = until)$table
  list(name = write(d[c(days, event, treatment, block)], name), days = days, event = event, treatment = treatment, control = control, block = block, chisq = test$chisq, p = pchisq(test$chisq, 1, lower.tail = FALSE),
    until = until, groups = data.frame(treatment = sub(".*=", "", rownames(table)), median = as.numeric(table[, "median"]), rmean = as.numeric(table[, grep("^\\*?rmean", colnames(table))]), rmeanSe = as.numeric(table[, grep("se\\(rmean\\)", colnames(table))])))
}
wait_sets <- list(waits("gehan", gehan, "time", "cens", "treat", "control"), waits("lung", transform(lung, status = status - 1, sex = ifelse(sex == 1, "male", "female")), "time", "status", "sex", "male"),
  waits("ovarian", transform(ovarian, rx = paste0("rx", rx)), "futime", "fustat", "rx", "rx1"), waits("veteran", transform(veteran, trt = paste0("t", trt), celltype = as.character(celltype)), "time", "status", "trt", "t1", "celltype"))

# Pairs: all flips of the signs (by enumeration). Darwin's maize, Fisher (1935), eighths of an inch.
darwin <- c(49, -67, 8, 16, 6, 23, 28, 41, 14, 29, 56, 24, 75, 60, -48)
flips <- function(d) { n <- length(d); s <- as.matrix(expand.grid(rep(list(c(-1, 1)), n))); mean(abs(s %*% d) >= abs(sum(d)) - 1e-9) }
flip_sets <- list(list(name = "darwin-maize", differences = darwin, p = flips(darwin)), list(name = "immer-pairs", differences = with(subset(immer, Var == "M"), Y2 - Y1), p = flips(with(subset(immer, Var == "M"), Y2 - Y1))))

# Curves (stats::lm, stats::nls).
aicc <- function(fit) { k <- attr(logLik(fit), "df"); n <- nobs(fit); AIC(fit) + 2 * k * (k + 1) / (n - k - 1) }
curve_of <- function(name, model, d, fit, names) { s <- summary(fit)$coefficients
  list(name = write(d, name), model = model, parameters = as.list(setNames(as.numeric(coef(fit)), names)), se = as.list(setNames(as.numeric(s[, 2]), names)), rss = sum(resid(fit)^2), aicc = aicc(fit)) }
tight <- nls.control(tol = 1e-8, maxiter = 500, minFactor = 1e-12, warnOnly = TRUE)
logistic <- function(d) { s <- coef(nls(y ~ SSlogis(x, a, m, s), d)); nls(y ~ SSlogis(x, asym, xmid, scal), d, start = list(asym = s[[1]], xmid = s[[2]], scal = s[[3]]), control = tight) }
gompertz <- function(d) { s <- coef(nls(y ~ SSgompertz(x, a, b, g), d)); nls(y ~ SSgompertz(x, asym, b2, b3), d, start = list(asym = s[[1]], b2 = s[[2]], b3 = s[[3]]), control = tight) }
dnase <- data.frame(x = log(subset(DNase, Run == 1)$conc), y = subset(DNase, Run == 1)$density)
bod <- data.frame(x = BOD$Time, y = BOD$demand)
orange <- data.frame(x = subset(Orange, Tree == 4)$age, y = subset(Orange, Tree == 4)$circumference)
chick <- data.frame(x = subset(ChickWeight, Chick == 1)$Time, y = subset(ChickWeight, Chick == 1)$weight)
loblolly <- data.frame(x = subset(Loblolly, Seed == 301)$age, y = subset(Loblolly, Seed == 301)$height)
puromycin <- with(subset(Puromycin, state == "treated"), data.frame(x = conc, y = rate))
co2 <- with(subset(CO2, Plant == "Qn1"), data.frame(x = conc, y = uptake))
mitscherlich <- function(d, start) nls(y ~ a - b * exp(-c * x), d, start = start, control = tight)
plateau <- function(d) { # the bend by search, then the whole by nls
  rss <- function(x0) sum(resid(lm(y ~ pmin(x, x0), d))^2)
  xs <- sort(unique(d$x)); best <- NULL
  for (i in seq_len(length(xs) - 1)) { o <- optimize(rss, xs[i + 0:1], tol = 1e-12); if (is.null(best) || o$objective < best$objective) best <- o }
  f <- lm(y ~ pmin(x, best$minimum), d); start <- list(a = coef(f)[[1]], b = coef(f)[[2]], x0 = best$minimum)
  fit <- nls(y ~ a + b * pmin(x, x0), d, start = start, control = nls.control(tol = 1e-6, warnOnly = TRUE), algorithm = "port")
  j <- cbind(1, pmin(d$x, coef(fit)[[3]]), ifelse(d$x > coef(fit)[[3]], coef(fit)[[2]], 0)); s2 <- sum(resid(fit)^2) / (nrow(d) - 3)
  list(fit = fit, se = sqrt(diag(solve(t(j) %*% j)) * s2))
}
pl <- plateau(co2)
curve_sets <- list(curve_of("cars", "linear", data.frame(x = cars$speed, y = cars$dist), lm(dist ~ speed, cars), c("a", "b")), curve_of("cars-bent", "quadratic", data.frame(x = cars$speed, y = cars$dist), lm(dist ~ speed + I(speed^2), cars), c("b0", "b1", "b2")),
  curve_of("women", "quadratic", data.frame(x = women$height, y = women$weight), lm(weight ~ height + I(height^2), women), c("b0", "b1", "b2")),
  curve_of("dnase", "logistic", dnase, logistic(dnase), c("asym", "xmid", "scal")), curve_of("orange", "logistic", orange, logistic(orange), c("asym", "xmid", "scal")),
  curve_of("chick", "logistic", chick, logistic(chick), c("asym", "xmid", "scal")),
  curve_of("dnase-gompertz", "gompertz", dnase, gompertz(dnase), c("asym", "b2", "b3")), curve_of("loblolly", "gompertz", loblolly, gompertz(loblolly), c("asym", "b2", "b3")),
  curve_of("bod", "mitscherlich", bod, mitscherlich(bod, list(a = 19, b = 19, c = 0.5)), c("a", "b", "c")), curve_of("puromycin", "mitscherlich", puromycin, mitscherlich(puromycin, list(a = 200, b = 160, c = 6)), c("a", "b", "c")),
  list(name = write(co2, "co2"), model = "plateau", parameters = as.list(setNames(as.numeric(coef(pl$fit)), c("a", "b", "x0"))), se = as.list(setNames(as.numeric(pl$se), c("a", "b", "x0"))), rss = sum(resid(pl$fit)^2), aicc = aicc(pl$fit)))

# Several sites (metafor).
sites <- function(name, yi, vi) {
  d <- data.frame(estimate = as.numeric(yi), se = sqrt(as.numeric(vi))); write(d, name)
  one <- function(method, test) { m <- rma(d$estimate, sei = d$se, method = method, test = test, control = list(threshold = 1e-10, maxiter = 10000)); list(estimate = as.numeric(m$b), low = m$ci.lb, high = m$ci.ub, tau2 = m$tau2, i2 = m$I2, q = m$QE, qP = m$QEp, p = m$pval) }
  list(name = name, dl = one("DL", "z"), reml = one("REML", "z"), hk = one("REML", "knha"))
}
bcg <- escalc(measure = "RR", ai = tpos, bi = tneg, ci = cpos, di = cneg, data = dat.bcg)
stay <- escalc(measure = "MD", m1i = m1i, sd1i = sd1i, n1i = n1i, m2i = m2i, sd2i = sd2i, n2i = n2i, data = dat.normand1999)
site_sets <- list(sites("bcg", bcg$yi, bcg$vi), sites("stroke-stay", stay$yi, stay$vi))

# Classes by treatment: Pearson's chi-square, its p from a million tables with the same margins. Agresti (2002), Categorical Data Analysis, table 2.8, as in ?fisher.test.
set.seed(7)
job <- matrix(c(1, 2, 1, 0, 3, 3, 6, 1, 10, 10, 14, 9, 6, 7, 12, 11), 4, 4)
class_set <- function(name, counts) { t <- suppressWarnings(chisq.test(counts, simulate.p.value = TRUE, B = 1e6)); list(name = name, table = unname(apply(counts, 1, as.list)), statistic = unname(t$statistic), p = t$p.value) }
class_sets <- list(class_set("job satisfaction (Agresti 2002)", job), class_set("mtcars, cylinders by gears", matrix(table(mtcars$cyl, mtcars$gear), 3)))

# A slope across and along, beside rows as blocks: OrchardSprays, lm. Rows hold the way along already.
orchard <- transform(OrchardSprays, treatment = relevel(treatment, "H"), row = factor(rowpos))
place_set <- function(name, fit) { s <- summary(fit)$coefficients; s <- s[grepl("^treatment", rownames(s)), ]; list(name = name, df = fit$df.residual, contrasts = lapply(rownames(s), function(n) list(treatment = sub("treatment", "", n), difference = s[n, 1], se = s[n, 2], p = s[n, 4]))) }
place_sets <- list(place_set("OrchardSprays, a slope both ways", lm(decrease ~ rowpos + colpos + treatment, orchard)), place_set("OrchardSprays, rows and a slope", lm(decrease ~ row + rowpos + colpos + treatment, orchard)))

write_json(list(classes = class_sets, places = place_sets, counts = count_sets, fisher = fisher_sets, cmh = cmh_sets, ranks = rank_sets, elteren = elteren_sets, friedman = friedman_sets, waits = wait_sets, flips = flip_sets, curves = curve_sets, sites = site_sets),
  "reference/results/kinds.json", auto_unbox = TRUE, digits = 15, pretty = TRUE, null = "null", na = "null")

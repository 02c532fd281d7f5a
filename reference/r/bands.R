# How sure a curve is at each place: the band of a fitted curve (delta method) and of a waiting curve (Greenwood, log-log).
# Run from the project's folder: Rscript reference/r/bands.R   (R 4.2 with survival, jsonlite)
suppressMessages({ library(survival); library(jsonlite) })

at <- c(0, 2, 4.5, 7)
d <- data.frame(x = BOD$Time, y = BOD$demand)
straight <- predict(lm(y ~ x, d), data.frame(x = at), se.fit = TRUE)$se.fit
bent <- predict(lm(y ~ x + I(x^2), d), data.frame(x = at), se.fit = TRUE)$se.fit
levelling <- nls(y ~ a - b * exp(-c * x), d, start = list(a = 19, b = 19, c = 0.5), control = nls.control(tol = 1e-7))
p <- as.list(coef(levelling))
G <- cbind(1, -exp(-p$c * at), p$b * at * exp(-p$c * at))
delta <- sqrt(rowSums((G %*% vcov(levelling)) * G))
curves <- list(
  list(model = "linear", x = at, se = unname(straight)),
  list(model = "quadratic", x = at, se = unname(bent)),
  list(model = "mitscherlich", x = at, se = unname(delta))
)

# Acute myelogenous leukaemia (Miller 1997), survival::aml: weeks until relapse, by whether chemotherapy was kept up.
waits <- lapply(levels(aml$x), function(group) {
  fit <- survfit(Surv(time, status) ~ 1, aml[aml$x == group, ], conf.type = "log-log")
  keep <- fit$n.event > 0
  list(group = group, days = fit$time[keep], low = fit$lower[keep], high = fit$upper[keep])
})
write_json(list(points = d, curves = curves, aml = data.frame(days = aml$time, event = aml$status, group = aml$x), waits = waits), "reference/results/bands.json", digits = I(12), auto_unbox = TRUE, na = "null", pretty = TRUE)

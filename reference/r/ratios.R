# One sum over another, treatment by treatment: the ratio of totals, its delta-method variance with the leverage taken out (HC2), Welch-like
# degrees of freedom (Bell & McCaffrey 2002), and Fieller's interval of the percent. Data: MASS::cats (Fisher 1947, Biometrics 3,
# 65-68), heart weight over body weight of females and males; and every eighth cat, where little is known.
# Rscript reference/r/ratios.R writes reference/results/ratios.json.
library(MASS)
library(jsonlite)

bell_mccaffrey <- function(X, w, squares_of, combination, variance, h) {
  M <- diag(nrow(X)) - X %*% solve(t(X) %*% X) %*% t(X)
  D <- diag(combination^2 / (1 - h))
  A <- M %*% D %*% M %*% diag(variance)
  sum(diag(A))^2 / sum(diag(A %*% A))
}

ratios <- function(data, name) {
  data$Sex <- relevel(factor(data$Sex), ref = "F")
  r <- data$Hwt / data$Bwt
  model <- lm(r ~ Sex, data = data, weights = data$Bwt)
  groups <- split(data, data$Sex)
  one <- function(d) {
    R <- sum(d$Hwt) / sum(d$Bwt)
    e <- d$Hwt - R * d$Bwt
    n <- nrow(d)
    list(
      ratio = R, n = n,
      # Cochran (1977), Sampling Techniques, 6.4: the delta method.
      delta = sqrt(n / (n - 1) * sum(e^2)) / sum(d$Bwt),
      hc2 = sqrt(sum(e^2 / (1 - d$Bwt / sum(d$Bwt)))) / sum(d$Bwt)
    )
  }
  each <- lapply(groups, one)
  se <- sqrt(each$F$hc2^2 + each$M$hc2^2)
  X <- model.matrix(model) * sqrt(data$Bwt)
  h <- hatvalues(model)
  e <- residuals(model) * sqrt(data$Bwt)
  squares <- e^2 / (1 - h)
  variance <- ave(squares, data$Sex)
  # The scaled weights of the difference of the two ratios.
  w <- ifelse(data$Sex == "M", 1, -1) * sqrt(data$Bwt) / ave(data$Bwt, data$Sex, FUN = sum)
  df <- bell_mccaffrey(X, NULL, squares, w, variance, h)
  t <- qt(0.975, df)
  mt <- each$M$ratio; mc <- each$F$ratio
  vt <- each$M$hc2^2; vc <- each$F$hc2^2
  a <- mc^2 - t^2 * vc
  fieller <- (mt * mc + c(-1, 1) * sqrt((mt * mc)^2 - a * (mt^2 - t^2 * vt))) / a
  list(
    name = name, n = nrow(data),
    females = each$F, males = each$M,
    lm = unname(coef(model)[2]),
    difference = mt - mc, se = se, df = df,
    p = 2 * pt(-abs((mt - mc) / se), df),
    ci = (mt - mc) + c(-1, 1) * t * se,
    deltaSe = sqrt(each$F$delta^2 + each$M$delta^2),
    percent = 100 * (mt / mc - 1), fiellerPercent = 100 * (fieller - 1),
    rows = data.frame(sex = as.character(data$Sex), body = data$Bwt, heart = data$Hwt)
  )
}

out <- list(ratios(cats, "cats"), ratios(cats[seq(1, 144, by = 8), ], "every eighth cat"))
write(toJSON(out, digits = 12, auto_unbox = TRUE, pretty = TRUE), "reference/results/ratios.json")

# Rank correlation with ties: cars (Ezekiel 1930, Methods of Correlation Analysis), speed and distance; and airquality (Chambers et al.
# 1983, Graphical Methods for Data Analysis), ozone and temperature, days with both.
# Rscript reference/r/readers.R writes reference/results/readers.json.
library(jsonlite)

seen <- airquality[complete.cases(airquality[, c("Ozone", "Temp")]), ]
rho <- function(x, y) list(first = x, second = y, rho = cor(x, y, method = "spearman"))
write(
  toJSON(
    list(cars = rho(cars$speed, cars$dist), airquality = rho(seen$Ozone, seen$Temp)),
    digits = NA, auto_unbox = TRUE
  ),
  "reference/results/readers.json"
)

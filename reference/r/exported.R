# What goes out as CSV, read by R: every pick of the demo's beans, summed by treatment and by pot; days as days, codes as words.
# Run from the project's folder: Rscript reference/r/exported.R   (R 4.2 with jsonlite; reference/data/demo-beans-entries.csv is our export)
suppressMessages(library(jsonlite))
d <- read.csv("reference/data/demo-beans-entries.csv", colClasses = c(code = "character", part = "character"), na.strings = "")
d$day <- as.Date(d$day)
picks <- d[d$kind == "pick", ]
by_pot <- aggregate(value ~ code + treatment, picks, sum)
out <- list(rows = nrow(d), columns = names(d), first = format(min(d$day)), last = format(max(d$day)),
  byTreatment = aggregate(value ~ treatment, picks, sum), potSd = sd(by_pot$value), pots = nrow(by_pot), notes = sum(!is.na(d$note)))
write_json(out, "reference/results/exported.json", digits = I(12), auto_unbox = TRUE, pretty = TRUE)

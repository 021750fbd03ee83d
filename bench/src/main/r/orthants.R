# Chances of answer patterns by the multivariate normal, for comparison: each line of the input is
# rho, then share and sign (1 or -1) of every answer. Writes the chances, and the seconds to standard error.
suppressPackageStartupMessages(library(mvtnorm))
arguments <- commandArgs(trailingOnly = TRUE)
patterns <- strsplit(readLines(arguments[1]), ",")
set.seed(1)
chances <- numeric(length(patterns))
began <- proc.time()[["elapsed"]]
for (i in seq_along(patterns)) {
  values <- as.numeric(patterns[[i]])
  rho <- values[1]
  shares <- values[seq(2, length(values), by = 2)]
  signs <- values[seq(3, length(values), by = 2)]
  size <- length(shares)
  if (size == 1) {
    chances[i] <- pnorm(signs * qnorm(shares))
  } else {
    correlation <- matrix(rho, size, size)
    diag(correlation) <- 1
    correlation <- correlation * outer(signs, signs)
    chances[i] <- pmvnorm(upper = signs * qnorm(shares), corr = correlation, algorithm = Miwa(steps = 512))
  }
}
message(proc.time()[["elapsed"]] - began)
writeLines(formatC(chances, digits = 15, format = "g"), arguments[2])

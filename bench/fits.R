# The same fits by R's nls, as many a second as it makes: "fits per second, coefficient c".
d <- read.csv("demo/trials/corn-after-soybean.csv", comment.char = "#")
x <- d$rate
y <- d$yield
q <- unname(coef(lm(y ~ x + I(x^2))))
fit <- function() nls(
  y ~ a + b * pmin(x, -b / (2 * c)) + c * pmin(x, -b / (2 * c))^2, start = list(a = q[1], b = q[2], c = q[3])
)
found <- fit()
times <- 300
seconds <- system.time(for (at in seq_len(times)) fit())[["elapsed"]]
cat(times / seconds, coef(found)[["c"]], "\n")

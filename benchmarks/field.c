/*
 * The balance of a field in plain C, the same scheme as packages/core/src/field/solve: conjugate gradients led by an incomplete
 * factor in the cells' own order. It is here to be measured against; benchmarks/plainC.ts compiles it.
 *
 * In: numbers in order on standard input, see main. Out: iterations, the greatest of what was solved for, the least
 * milliseconds of a solve, its factor included.
 */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

static int n, deep, *up[3], *down[3];
static double *diagonal, *to_up[3], *to_down[3], *source, *factor, *inverse, *theta, *rest, *lead, *along, *change;

static double multiply(const double *of, double *into) {
  double sum = 0, before = 0;
  for (int i = 0; i < n; i++) {
    double value = diagonal[i] * of[i] - to_up[0][i] * of[i + 1] - to_down[0][i] * before - to_up[2][i] * of[up[2][i]] - to_down[2][i] * of[down[2][i]];
    if (deep) value = value - to_up[1][i] * of[up[1][i]] - to_down[1][i] * of[down[1][i]];
    into[i] = value;
    sum += value * of[i];
    before = of[i];
  }
  return sum;
}

static void make_factor(void) {
  memcpy(factor, diagonal, (n + 1) * sizeof *factor);
  for (int i = 0; i < n; i++) {
    inverse[i] = 1 / factor[i];
    for (int axis = 0; axis < 3; axis++)
      if (up[axis][i] < n) factor[up[axis][i]] -= to_up[axis][i] * to_up[axis][i] * inverse[i];
  }
}

static double led(const double *of, double *into) {
  double sum = 0, last = 0;
  for (int i = 0; i < n; i++) {
    double gains = of[i] + to_down[2][i] * into[down[2][i]];
    if (deep) gains += to_down[1][i] * into[down[1][i]];
    last = inverse[i] * gains + inverse[i] * to_down[0][i] * last;
    into[i] = last;
  }
  last = 0;
  for (int i = n - 1; i >= 0; i--) {
    double gains = to_up[2][i] * into[up[2][i]];
    if (deep) gains += to_up[1][i] * into[up[1][i]];
    last = into[i] + inverse[i] * gains + inverse[i] * to_up[0][i] * last;
    into[i] = last;
    sum += last * of[i];
  }
  return sum;
}

static int solve(double left) {
  double wanted = 0, over = 0;
  make_factor();
  memset(theta, 0, (n + 1) * sizeof *theta);
  for (int i = 0; i < n; i++) {
    rest[i] = source[i];
    wanted += source[i] * source[i];
  }
  over = wanted;
  double power = led(rest, lead);
  memcpy(along, lead, (n + 1) * sizeof *along);
  int iterations = 0;
  for (; iterations < n && over > left * left * wanted; iterations++) {
    double step = power / multiply(along, change);
    over = 0;
    for (int i = 0; i < n; i++) {
      theta[i] += step * along[i];
      double now = rest[i] - step * change[i];
      rest[i] = now;
      over += now * now;
    }
    double now = led(rest, lead), share = now / power;
    power = now;
    for (int i = 0; i < n; i++) along[i] = lead[i] + share * along[i];
  }
  return iterations;
}

static double number(void) {
  double value;
  if (scanf("%lf", &value) != 1) {
    fprintf(stderr, "too few numbers\n");
    exit(1);
  }
  return value;
}

static double *room(void) { return calloc(n + 1, sizeof(double)); }

static double *numbers(void) {
  double *into = room();
  for (int i = 0; i < n; i++) into[i] = number();
  return into;
}

/* rounds, what may be left as a share, cells, diagonal, source, then for each axis what passes upwards and to which cell, -1 where to none. */
int main(void) {
  int rounds = (int)number();
  double left = number();
  n = (int)number();
  diagonal = numbers();
  source = numbers();
  for (int axis = 0; axis < 3; axis++) {
    to_up[axis] = numbers();
    to_down[axis] = room();
    up[axis] = malloc((n + 1) * sizeof(int));
    down[axis] = malloc((n + 1) * sizeof(int));
    for (int i = 0; i < n; i++) down[axis][i] = n;
    for (int i = 0; i < n; i++) {
      int other = (int)number();
      up[axis][i] = other < 0 ? n : other;
      if (other < 0) continue;
      down[axis][other] = i;
      to_down[axis][other] = to_up[axis][i];
      if (axis == 1) deep = 1;
    }
  }
  factor = room(), inverse = room(), theta = room(), rest = room(), lead = room(), along = room(), change = room();
  double least = INFINITY;
  int iterations = 0;
  for (int round = 0; round < rounds; round++) {
    struct timespec began, ended;
    clock_gettime(CLOCK_MONOTONIC, &began);
    iterations = solve(left);
    clock_gettime(CLOCK_MONOTONIC, &ended);
    double ms = 1e3 * (ended.tv_sec - began.tv_sec) + 1e-6 * (ended.tv_nsec - began.tv_nsec);
    if (ms < least) least = ms;
  }
  double most = 0;
  for (int i = 0; i < n; i++)
    if (theta[i] > most) most = theta[i];
  printf("%d %.17g %.6f\n", iterations, most, least);
  return 0;
}

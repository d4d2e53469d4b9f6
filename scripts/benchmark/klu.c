/*
 * Times SuiteSparse's KLU on one complex matrix and right-hand side. From standard input: size, entries, repeats; then
 * row, column, re, im of each entry, columns in order; then re, im of the right-hand side. To standard output:
 * microseconds to factor, to factor anew with the pivots kept, and to solve; then the solution.
 */
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <suitesparse/klu.h>
#include <time.h>

static double now_us(void) {
  struct timespec t;
  clock_gettime(CLOCK_MONOTONIC, &t);
  return 1e6 * t.tv_sec + 1e-3 * t.tv_nsec;
}

static int ascending(const void *a, const void *b) {
  double x = *(const double *)a, y = *(const double *)b;
  return (x > y) - (x < y);
}

static double median(double *values, int count) {
  qsort(values, count, sizeof *values, ascending);
  return values[count / 2];
}

int main(void) {
  int n, entries, repeats;
  if (scanf("%d %d %d", &n, &entries, &repeats) != 3) return 1;
  int *start = calloc(n + 1, sizeof *start), *row = malloc(entries * sizeof *row);
  double *value = malloc(2 * entries * sizeof *value), *rhs = malloc(2 * n * sizeof *rhs);
  double *x = malloc(2 * n * sizeof *x), *times = malloc(repeats * sizeof *times);
  for (int k = 0; k < entries; k++) {
    int column;
    if (scanf("%d %d %lf %lf", &row[k], &column, &value[2 * k], &value[2 * k + 1]) != 4) return 1;
    start[column + 1]++;
  }
  for (int j = 0; j < n; j++) start[j + 1] += start[j];
  for (int i = 0; i < n; i++)
    if (scanf("%lf %lf", &rhs[2 * i], &rhs[2 * i + 1]) != 2) return 1;

  klu_common common;
  klu_defaults(&common);
  klu_symbolic *symbolic = klu_analyze(n, start, row, &common);
  klu_numeric *numeric = NULL;
  for (int k = 0; k < repeats; k++) {
    klu_z_free_numeric(&numeric, &common);
    double from = now_us();
    numeric = klu_z_factor(start, row, value, symbolic, &common);
    times[k] = now_us() - from;
    if (!numeric) return 2;
  }
  double factor = median(times, repeats);
  for (int k = 0; k < repeats; k++) {
    double from = now_us();
    if (!klu_z_refactor(start, row, value, symbolic, numeric, &common)) return 2;
    times[k] = now_us() - from;
  }
  double refactor = median(times, repeats);
  for (int k = 0; k < repeats; k++) {
    memcpy(x, rhs, 2 * n * sizeof *x);
    double from = now_us();
    if (!klu_z_solve(symbolic, numeric, n, 1, x, &common)) return 2;
    times[k] = now_us() - from;
  }
  printf("%.3f %.3f %.3f\n", factor, refactor, median(times, repeats));
  for (int i = 0; i < n; i++) printf("%.17g %.17g\n", x[2 * i], x[2 * i + 1]);
  return 0;
}

/* The sweep of a cascade in plain C: the yardstick of bench/sweep.bench.ts. Same loop, same order, same doubles. */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>

enum kind { LINE, SERIES, SHUNT_C };
struct element { int kind; double z0, vf, len, k1, k2; };

static const double C0 = 299792458.0, DB_PER_NEPER = 8.685889638065035, PI = 3.14159265358979323846;

static void write_abcd(const struct element *e, double hz, double *m) {
  switch (e->kind) {
    case LINE: {
      double mhz = hz / 1e6;
      double al = (e->k1 * sqrt(mhz) + e->k2 * mhz) / 100 / DB_PER_NEPER * e->len;
      double bl = 2 * PI * hz / (e->vf * C0) * e->len;
      double grow = e->k1 == 0 && e->k2 == 0 ? 1 : exp(al);
      double ch = (grow + 1 / grow) / 2, sh = (grow - 1 / grow) / 2, co = cos(bl), si = sin(bl);
      m[0] = m[6] = ch * co; m[1] = m[7] = sh * si;
      m[2] = sh * co * e->z0; m[3] = ch * si * e->z0;
      m[4] = sh * co / e->z0; m[5] = ch * si / e->z0;
      return;
    }
    case SERIES:
      for (int k = 0; k < 8; k++) m[k] = 0;
      m[0] = m[6] = 1;
      m[2] = 100 * (pow(10, e->k1 * sqrt(hz / 1e9) / 20) - 1);
      return;
    case SHUNT_C:
      for (int k = 0; k < 8; k++) m[k] = 0;
      m[0] = m[6] = 1;
      m[5] = 2 * PI * hz * e->k1;
      return;
  }
}

static void append(double *t, const struct element *e, const double *m) {
  if (e->kind == SERIES) {
    t[2] += t[0] * m[2]; t[3] += t[1] * m[2]; t[6] += t[4] * m[2]; t[7] += t[5] * m[2];
    return;
  }
  if (e->kind == SHUNT_C) {
    t[0] -= t[3] * m[5]; t[1] += t[2] * m[5]; t[4] -= t[7] * m[5]; t[5] += t[6] * m[5];
    return;
  }
  double p[8];
  for (int r = 0; r < 2; r++)
    for (int c = 0; c < 2; c++) {
      const double *a = t + 4 * r, *b = m + 2 * c;
      p[4 * r + 2 * c] = a[0] * b[0] - a[1] * b[1] + a[2] * b[4] - a[3] * b[5];
      p[4 * r + 2 * c + 1] = a[0] * b[1] + a[1] * b[0] + a[2] * b[5] + a[3] * b[4];
    }
  for (int k = 0; k < 8; k++) t[k] = p[k];
}

int main(void) {
  int kinds, count, points, repeats;
  double from, step;
  if (scanf("%d %d %d %d %lf %lf", &kinds, &count, &points, &repeats, &from, &step) != 6) return 1;
  struct element *e = malloc(sizeof *e * kinds);
  int *order = malloc(sizeof *order * count);
  double (*m)[8] = malloc(sizeof *m * kinds), sum = 0;
  if (!e || !order || !m) return 1;
  for (int k = 0; k < kinds; k++)
    if (scanf("%d %lf %lf %lf %lf %lf", &e[k].kind, &e[k].z0, &e[k].vf, &e[k].len, &e[k].k1, &e[k].k2) != 6) return 1;
  for (int k = 0; k < count; k++) if (scanf("%d", &order[k]) != 1) return 1;
  for (int again = 0; again < repeats; again++)
    for (int f = 0; f < points; f++) {
      double hz = from + f * step, t[8] = {1, 0, 0, 0, 0, 0, 1, 0};
      for (int k = 0; k < kinds; k++) write_abcd(&e[k], hz, m[k]);
      for (int k = 0; k < count; k++) append(t, &e[order[k]], m[order[k]]);
      /* |S21| against 50 ohm, as scattering() has it. */
      double re = t[0] + t[2] / 50 + t[4] * 50 + t[6], im = t[1] + t[3] / 50 + t[5] * 50 + t[7];
      sum += 2 / sqrt(re * re + im * im);
    }
  printf("%.17g\n", sum / repeats);
  return 0;
}

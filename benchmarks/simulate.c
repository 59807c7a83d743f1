/*
 * The simulation in plain C, the same scheme as packages/core/src/heat and stress/plate: TR-BDF2 on a vertex-centred mesh,
 * error-controlled or fixed steps along segments in an ideal kiln, and what the limits ask for after every step. One body
 * of glass with both faces open. It is here to be measured against, and to check the other by; benchmarks/plainC.ts compiles it.
 *
 * In: numbers in order on standard input, see main. Out: steps, then for each segment its greatest difference and its heat
 * work, then the greatest residual tension, then the least milliseconds of a run.
 */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

#define NODES_MOST 128
#define TERMS_MOST 12
#define SEGMENTS_MOST 24
#define KELVIN 273.15

static const double SIGMA = 5.670374419e-8;

typedef struct { double expansion, density, youngs, poisson, conductivity, capacity, A, B, T0, melt; } Glass;
typedef struct { double emissivity, convection; } Face;
typedef struct { double rate_per_s, target, hold; } Segment;

static Glass glass;
static Face top, bottom;
static Segment segments[SEGMENTS_MOST];
static int segment_count, n, terms, with_stress, controlled, sets_segment;
static double depth, start_C, across_s, even_K, weight_of[TERMS_MOST], ratio_of[TERMS_MOST], structure_over, glassy;
static double brittle_C, sets_to, sets_at, haze_middle, haze_width, lift_from, lift_to, fluid_C, frozen_C;

static double capacity[NODES_MOST], conductance[NODES_MOST], height[NODES_MOST], share_of[NODES_MOST];
static double T[NODES_MOST], middle[NODES_MOST], weighed[NODES_MOST], taken[NODES_MOST], given[NODES_MOST], undo_T[NODES_MOST];
static double low_taken, high_taken;
static double memory[13], undo_memory[13], error_K, crossed, undo_crossed;

static double gamma_, implicit_share, from_middle, from_start, error_constant, early_weight;

static double exchange(Face face, double face_C, double kiln_C) {
  double a = face_C + KELVIN, b = kiln_C + KELVIN;
  return face.emissivity * SIGMA * (a * a + b * b) * (a + b) + face.convection;
}

static double fluidity(double t) { return t <= glass.T0 ? 0 : exp(-2.302585092994046 * (glass.A + glass.B / (t - glass.T0))); }

static void mesh(void) {
  double step = depth / (n - 1), whole = 0;
  memset(capacity, 0, sizeof capacity);
  for (int i = 0; i < n; i += 1) height[i] = step * i;
  for (int i = 0; i < n - 1; i += 1) {
    capacity[i] += glass.density * glass.capacity * step / 2;
    capacity[i + 1] += glass.density * glass.capacity * step / 2;
    conductance[i] = glass.conductivity / step;
  }
  for (int i = 0; i < n; i += 1) whole += capacity[i];
  for (int i = 0; i < n; i += 1) share_of[i] = capacity[i] / whole;
}

/* From both ends to the middle node, as there. */
static void substitute(double *solved, int meet) {
  int last = n - 1;
  double low = solved[meet], high = low;
  for (int i = meet - 1, j = meet + 1; i >= 0; i -= 1, j += 1) {
    low = solved[i] + given[i] * low;
    solved[i] = low;
    if (j > last) continue;
    high = solved[j] + given[j] * high;
    solved[j] = high;
  }
}

static void first_stage(double implicit_s, double h_bottom, double h_top, double kiln_start, double kiln_mid) {
  int last = n - 1, meet = n >> 1;
  double low = T[0], high = T[last];
  double low_own = implicit_s * h_bottom, low_right = low_own * (kiln_start - low + kiln_mid), low_towards = 1;
  double high_own = implicit_s * h_top, high_right = high_own * (kiln_start - high + kiln_mid), high_towards = 1;
  for (int i = 0, j = last; i < meet; i += 1, j -= 1) {
    double towards = implicit_s * conductance[i], c = capacity[i], next = T[i + 1], flows = towards * (next - low);
    double p = 1 / (c + towards + low_own), solved = (c * low + flows + low_right) * p, gives = towards * p;
    undo_T[i] = low, middle[i] = solved, weighed[i] = c * p, taken[i] = low_towards * p, given[i] = gives;
    low_own = towards * (c + low_own) * p, low_right = towards * solved - flows, low_towards = towards, low = next;
    if (j <= meet) continue;
    towards = implicit_s * conductance[j - 1], c = capacity[j], next = T[j - 1], flows = towards * (next - high);
    p = 1 / (c + towards + high_own), solved = (c * high + flows + high_right) * p, gives = towards * p;
    undo_T[j] = high, middle[j] = solved, weighed[j] = c * p, taken[j] = high_towards * p, given[j] = gives;
    high_own = towards * (c + high_own) * p, high_right = towards * solved - flows, high_towards = towards, high = next;
  }
  double p = 1 / (capacity[meet] + low_own + high_own);
  weighed[meet] = capacity[meet] * p, low_taken = low_towards * p, high_taken = high_towards * p, undo_T[meet] = low;
  middle[meet] = (capacity[meet] * low + low_right + high_right) * p;
  substitute(middle, meet);
}

static void second_stage(double implicit_s, double h_bottom, double h_top, double kiln_end) {
  int last = n - 1, meet = n >> 1;
  double low = implicit_s * h_bottom * kiln_end, high = implicit_s * h_top * kiln_end;
  for (int i = 0, j = last; i < meet; i += 1, j -= 1) {
    low = (from_middle * middle[i] - from_start * T[i]) * weighed[i] + taken[i] * low;
    T[i] = low;
    if (j <= meet) continue;
    high = (from_middle * middle[j] - from_start * T[j]) * weighed[j] + taken[j] * high;
    T[j] = high;
  }
  double own = from_middle * middle[meet] - from_start * T[meet];
  T[meet] = own * weighed[meet] + low_taken * low + high_taken * high;
  substitute(T, meet);
}

static double estimate_error(double dt) {
  const int watched[3] = {0, (n - 1) >> 1, n - 1};
  double before = memory[3], earlier = memory[2], greatest = 0;
  for (int k = 0; k < 3; k += 1) {
    double *past = memory + 4 + 3 * k, now = T[watched[k]];
    double slope = (now - past[2]) / dt, slope_before = (past[2] - past[1]) / before, slope_earlier = (past[1] - past[0]) / earlier;
    double bend = (slope - slope_before) / (dt + before), bend_before = (slope_before - slope_earlier) / (before + earlier);
    double error = error_constant * dt * dt * dt * fabs(bend - bend_before) / (dt + before + earlier);
    if (error > greatest) greatest = error;
    past[0] = past[1];
    past[1] = past[2];
    past[2] = now;
  }
  memory[2] = before;
  memory[3] = dt;
  return greatest;
}

static void conduct(double dt, double kiln_start, double kiln_end) {
  int last = n - 1;
  double implicit_s = implicit_share * dt, kiln_mid = kiln_start + gamma_ * (kiln_end - kiln_start), halfway = (kiln_start + kiln_end) / 2;
  memcpy(undo_memory, memory, sizeof memory);
  undo_crossed = crossed;
  double bottom_start = T[0], top_start = T[last];
  double h_bottom = exchange(bottom, bottom_start + memory[0] * dt / 2, halfway), h_top = exchange(top, top_start + memory[1] * dt / 2, halfway);
  double flux_start = h_bottom * (kiln_start - bottom_start) + h_top * (kiln_start - top_start);
  first_stage(implicit_s, h_bottom, h_top, kiln_start, kiln_mid);
  double flux_middle = h_bottom * (kiln_mid - middle[0]) + h_top * (kiln_mid - middle[last]);
  second_stage(implicit_s, h_bottom, h_top, kiln_end);
  double flux_end = h_bottom * (kiln_end - T[0]) + h_top * (kiln_end - T[last]);
  crossed += dt * (early_weight * (flux_start + flux_middle) + implicit_share * flux_end);
  memory[0] = (T[0] - bottom_start) / dt;
  memory[1] = (T[last] - top_start) / dt;
  error_K = estimate_error(dt);
}

/* Stress. */
static double before_T[NODES_MOST], fictive[NODES_MOST * TERMS_MOST], fictive_mean[NODES_MOST], fictive_rate[NODES_MOST], parts[NODES_MOST * TERMS_MOST], stress[NODES_MOST];
static double is_fluid[NODES_MOST], stiffness[NODES_MOST], carried[NODES_MOST], grip[NODES_MOST * TERMS_MOST], free_strain[NODES_MOST];
static double weights[NODES_MOST], arms[NODES_MOST], strain, bend, fastest, modulus;

static void forget(int i, double at) {
  fictive_mean[i] = at;
  fictive_rate[i] = 0;
  for (int k = 0; k < terms; k += 1) fictive[i * terms + k] = at, parts[i * terms + k] = 0;
}

static void start_stress(void) {
  modulus = glass.youngs / (1 - glass.poisson);
  fastest = HUGE_VAL;
  for (int k = 0; k < terms; k += 1) fastest = fmin(fastest, fmin(ratio_of[k], ratio_of[k] * structure_over));
  for (int i = 0; i < n; i += 1) {
    weights[i] = ((i > 0 ? height[i] - height[i - 1] : 0) + (i < n - 1 ? height[i + 1] - height[i] : 0)) / 2;
    arms[i] = height[i] - depth / 2;
    before_T[i] = T[i];
    stress[i] = is_fluid[i] = 0;
    forget(i, fmax(T[i], frozen_C));
  }
}

static void balance(void) {
  double a00 = 0, a01 = 0, a11 = 0, b0 = 0, b1 = 0;
  for (int i = 0; i < n; i += 1) {
    double stiff = weights[i] * stiffness[i], load = weights[i] * (stiffness[i] * free_strain[i] - carried[i]);
    a00 += stiff;
    a01 += stiff * arms[i];
    a11 += stiff * arms[i] * arms[i];
    b0 += load;
    b1 += load * arms[i];
  }
  double determinant = a00 * a11 - a01 * a01;
  strain = (b0 * a11 - b1 * a01) / determinant;
  bend = (a00 * b1 - a01 * b0) / determinant;
}

static double mean_left(double x) {
  if (x < 0.02) return 1 - x / 2 * (1 - x / 3 * (1 - x / 4 * (1 - x / 5 * (1 - x / 6))));
  return x > 40 ? 1 / x : (1 - exp(-x)) / x;
}

static void relax(int i, double dt, double t0, double t1) {
  double shear = glass.youngs / (2 * (1 + glass.poisson)), tf = fictive_mean[i] + fictive_rate[i] * dt / 2;
  double slower = 2.302585092994046 * (glass.A + glass.B / (tf - glass.T0)) + glassy * (1 / ((t0 + t1) / 2 + KELVIN) - 1 / (tf + KELVIN));
  double passed = tf <= glass.T0 ? 0 : dt * shear * exp(-slower);
  if (passed < 1e-6 * fastest) {
    free_strain[i] = glass.expansion * (t1 - t0);
    stiffness[i] = modulus;
    carried[i] = stress[i];
    fictive_rate[i] = 0;
    for (int k = 0; k < terms; k += 1) grip[i * terms + k] = modulus;
    return;
  }
  double mean = 0, stiff = 0, carry = 0;
  for (int k = 0; k < terms; k += 1) {
    double x = passed / (ratio_of[k] * structure_over), phi = mean_left(x);
    double next = t1 - (t1 - t0) * phi + (fictive[i * terms + k] - t0) * (1 - x * phi);
    fictive[i * terms + k] = next;
    mean += weight_of[k] * next;
  }
  free_strain[i] = glass.expansion * (t1 - t0) + (glass.melt - glass.expansion) * (mean - fictive_mean[i]);
  fictive_rate[i] = (mean - fictive_mean[i]) / dt;
  fictive_mean[i] = mean;
  for (int k = 0; k < terms; k += 1) {
    double x = passed / ratio_of[k], phi = mean_left(x), kept = parts[i * terms + k] * (1 - x * phi);
    parts[i * terms + k] = kept;
    grip[i * terms + k] = modulus * phi;
    stiff += weight_of[k] * modulus * phi;
    carry += weight_of[k] * kept;
  }
  stiffness[i] = fmax(stiff, modulus * 1e-5);
  carried[i] = carry;
}

static void stress_step(double dt) {
  int all_fluid = 1;
  for (int i = 0; i < n; i += 1) if (T[i] < fluid_C) { all_fluid = 0; break; }
  if (all_fluid) {
    for (int i = 0; i < n; i += 1) before_T[i] = T[i], is_fluid[i] = 1, stress[i] = 0;
    return;
  }
  for (int i = 0; i < n; i += 1) {
    double t0 = before_T[i], t1 = T[i];
    before_T[i] = t1;
    if (t1 >= fluid_C) {
      is_fluid[i] = 1;
      stiffness[i] = modulus * 1e-5;
      carried[i] = free_strain[i] = 0;
      continue;
    }
    if (is_fluid[i]) forget(i, t0), is_fluid[i] = 0;
    relax(i, dt, t0, t1);
  }
  balance();
  for (int i = 0; i < n; i += 1) {
    if (is_fluid[i]) { stress[i] = 0; continue; }
    double taken = strain + bend * arms[i] - free_strain[i];
    for (int k = i * terms; k < (i + 1) * terms; k += 1) parts[k] += grip[k] * taken;
    stress[i] = carried[i] + stiffness[i] * taken;
  }
}

static double residual(void) {
  double most = 0;
  for (int i = 0; i < n; i += 1) stiffness[i] = modulus, carried[i] = stress[i], free_strain[i] = glass.expansion * (20 - T[i]);
  balance();
  for (int i = 0; i < n; i += 1) most = fmax(most, stress[i] + modulus * (strain + bend * arms[i] - free_strain[i]));
  return most;
}

/* What the limits ask for. */
static double mean_C, work_below, work_mean, work_above, fl_below, fl_mean, fl_above, haze_before, haze_s, coating_s, squeeze, open_before, relaxations;
static double spread, spread_before, through_now, greatest_through, greatest_climbing, greatest_setting, greatest_pull;
static int now_segment;

static double straight_now, most_free, most_straight, most_across;

static double gauge(void) {
  double force = 0, moment = 0, second = 0, half = depth / 2, step = depth / (n - 1), most = 0;
  for (int i = 0; i < n; i += 1) {
    double w = i == 0 || i == n - 1 ? step / 2 : step, arm = height[i] - half, part = w * T[i];
    force += part;
    moment += part * arm;
    second += w * arm * arm;
  }
  straight_now = fabs(moment / second) * half;
  for (int i = 0; i < n; i += 1) most = fmax(most, force / depth + moment / second * (height[i] - half) - T[i]);
  return most;
}

static void pulls(double across) {
  most_free = fmax(most_free, gauge());
  most_straight = fmax(most_straight, straight_now);
  most_across = fmax(most_across, across);
  greatest_pull = glass.youngs * glass.expansion * (most_free + 0.3 * most_straight + most_across) / (1 - glass.poisson);
}

static double growing_mean(double before, double after) {
  double sum = before + after, grows = sum == 0 ? 0 : (after - before) / sum;
  return sum / 2 * (1 - grows * grows / 3);
}

static void watch(double dt) {
  double low = T[0], high = low, before = mean_C, mean = share_of[0] * low;
  for (int i = 1; i < n; i += 1) {
    double here = T[i];
    if (here < low) low = here;
    else if (here > high) high = here;
    mean += share_of[i] * here;
  }
  mean_C = mean;
  double rate = (mean - before) / dt, through = high - low, across = across_s * fabs(rate);
  spread_before = spread;
  spread = through + across;
  through_now = through;
  if (through > greatest_through) greatest_through = through;
  if (rate > 0) {
    if (low < brittle_C) pulls(across);
    else if (spread > greatest_climbing) greatest_climbing = spread;
  } else if (now_segment >= sets_segment && mean < sets_at) {
    if (mean <= sets_to) pulls(across);
    else if (spread > greatest_setting) greatest_setting = spread;
  }
  double below = fluidity(T[0]), centre = fluidity(mean), above = fluidity(T[n - 1]), work = growing_mean(fl_mean, centre) * dt;
  work_below += growing_mean(fl_below, below) * dt;
  work_above += growing_mean(fl_above, above) * dt;
  work_mean += work;
  double sealed = centre * 3981071.7055349695, sealed2 = sealed * sealed, open = 1 / (1 + sealed2 * sealed2);
  if (rate > -1e-6) squeeze += work * (open_before + open) / 2;
  open_before = open;
  double even_share = spread_before > even_K ? 1 - log(spread_before / even_K) / log(spread_before / fmax(spread, 1e-9)) : 1;
  relaxations = spread > even_K ? 0 : relaxations + work * glass.youngs / (2 * (1 + glass.poisson)) * even_share;
  fl_below = below, fl_mean = centre, fl_above = above;
  double z = (T[n - 1] - haze_middle) / haze_width, haze = exp(-0.5 * z * z);
  haze_s += (haze_before + haze) / 2 * dt;
  haze_before = haze;
  if (rate > -1e-6 && mean >= lift_from && mean <= lift_to) coating_s += dt;
  if (with_stress) stress_step(dt);
}

static double kiln_C, next_s;
static int steps;

static void advance(double longest, double rate, double end_C) {
  for (;;) {
    double dt = controlled && next_s < longest ? next_s : longest, next_C = dt == longest ? end_C : kiln_C + rate * dt;
    conduct(dt, kiln_C, next_C);
    if (controlled) {
      double scale = error_K > 0 ? 0.9 * cbrt(0.02 / error_K) : 2;
      if (error_K > 0.02 && dt > 1) {
        memcpy(T, undo_T, n * sizeof *T);
        memcpy(memory, undo_memory, sizeof memory);
        crossed = undo_crossed;
        next_s = fmax(1, dt * fmax(scale, 0.2));
        continue;
      }
      double allowed = fmax(1, dt * fmin(scale, 2));
      next_s = dt < next_s ? fmax(allowed, next_s) : allowed;
    }
    kiln_C = next_C;
    steps += 1;
    watch(dt);
    return;
  }
}

static void run(double *out) {
  double largest_s = controlled ? 240 : 30, largest_K = controlled ? 2.5 : 1;
  for (int i = 0; i < n; i += 1) T[i] = start_C;
  memset(memory, 0, sizeof memory);
  memory[2] = memory[3] = 60;
  for (int k = 4; k < 13; k += 1) memory[k] = start_C;
  kiln_C = mean_C = start_C;
  next_s = largest_s;
  steps = 0;
  open_before = 1;
  crossed = fl_below = fl_mean = fl_above = spread = spread_before = 0;
  haze_before = exp(-0.5 * (start_C - haze_middle) / haze_width * (start_C - haze_middle) / haze_width);
  if (with_stress) start_stress();
  for (now_segment = 0; now_segment < segment_count; now_segment += 1) {
    Segment one = segments[now_segment];
    greatest_through = now_segment > 0 ? through_now : 0;
    most_free = most_straight = most_across = 0;
    greatest_climbing = greatest_setting = greatest_pull = work_below = work_mean = work_above = squeeze = relaxations = haze_s = coating_s = 0;
    double direction = one.target > kiln_C ? 1 : -1;
    while (kiln_C != one.target) {
      double left = fabs(one.target - kiln_C), dt = fmin(fmin(largest_s, largest_K / one.rate_per_s), left / one.rate_per_s);
      advance(dt, direction * one.rate_per_s, dt * one.rate_per_s >= left * (1 - 1e-9) ? one.target : kiln_C + direction * one.rate_per_s * dt);
    }
    double held = 0;
    while (one.hold - held > one.hold * 1e-9) {
      double left = one.hold - held, was = left <= largest_s ? left : left < 2 * largest_s ? left / 2 : largest_s;
      double taken = controlled && next_s < was ? next_s : was;
      int before = steps;
      advance(was, 0, kiln_C);
      /* A step that was taken back and tried shorter: memory holds its true length. */
      held += steps > before ? memory[3] : taken;
    }
    out[2 * now_segment] = greatest_through;
    out[2 * now_segment + 1] = work_mean;
  }
}

static double number(void) {
  double value;
  if (scanf("%lf", &value) != 1) exit(2);
  return value;
}

int main(void) {
  double out[2 * SEGMENTS_MOST], least = HUGE_VAL;
  int rounds = (int)number();
  n = (int)number(), with_stress = (int)number(), controlled = (int)number();
  depth = number(), start_C = number(), across_s = number(), even_K = number();
  glass = (Glass){number(), 0};
  glass.density = number(), glass.youngs = number(), glass.poisson = number(), glass.conductivity = number();
  glass.capacity = number(), glass.A = number(), glass.B = number(), glass.T0 = number(), glass.melt = number();
  top.emissivity = number(), top.convection = number(), bottom.emissivity = number(), bottom.convection = number();
  brittle_C = number(), sets_to = number(), sets_at = number(), sets_segment = (int)number();
  haze_middle = number(), haze_width = number(), lift_from = number(), lift_to = number(), fluid_C = number(), frozen_C = number();
  structure_over = number(), glassy = number(), terms = (int)number();
  for (int k = 0; k < terms; k += 1) weight_of[k] = number(), ratio_of[k] = number();
  segment_count = (int)number();
  for (int i = 0; i < segment_count; i += 1) segments[i].rate_per_s = number(), segments[i].target = number(), segments[i].hold = number();
  gamma_ = 2 - sqrt(2), implicit_share = 1 - sqrt(0.5), from_middle = 1 / (gamma_ * (2 - gamma_));
  from_start = (1 - gamma_) * (1 - gamma_) / (gamma_ * (2 - gamma_)), early_weight = sqrt(2) / 4;
  error_constant = fabs((-3 * gamma_ * gamma_ + 4 * gamma_ - 2) / (2 * (2 - gamma_)));
  mesh();
  for (int i = 0; i < 5; i += 1) run(out);
  for (int i = 0; i < rounds; i += 1) {
    struct timespec from, to;
    clock_gettime(CLOCK_MONOTONIC, &from);
    run(out);
    clock_gettime(CLOCK_MONOTONIC, &to);
    least = fmin(least, (to.tv_sec - from.tv_sec) * 1e3 + (to.tv_nsec - from.tv_nsec) / 1e6);
  }
  printf("%d\n", steps);
  for (int i = 0; i < segment_count; i += 1) printf("%.12g %.12g\n", out[2 * i], out[2 * i + 1]);
  printf("%.12g\n", with_stress ? residual() : 0);
  printf("%.6f\n", least);
  return 0;
}

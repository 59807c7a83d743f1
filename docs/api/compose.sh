#!/bin/sh
# A schedule for a disc of 12 mm, full fused in a dam: sh docs/api/compose.sh [http://localhost:4310]
set -e
torvin=${1:-http://localhost:4310}

# SI units and °C throughout; glass, kiln and set-up are what GET /api/compute/typical gives.
curl --silent --show-error --fail-with-body "$torvin/api/compute/compose" -H 'Content-Type: application/json' --data @- <<'JSON'
{
  "look": "fullFuse",
  "body": {
    "footprint": { "shape": "disc", "diameter_m": 0.2 },
    "dammed": true,
    "glasses": [
      {
        "expansion_perK": 9.0e-6, "annealing_C": 515, "softening_C": 680, "density_kg_m3": 2500, "youngs_Pa": 70e9,
        "poisson": 0.22, "conductivity_W_mK": 1.2, "heatCapacity_J_kgK": 1100, "surfaceTension_N_m": 0.3
      }
    ],
    "layers": [
      { "form": "sheet", "glass": 0, "thickness_m": 0.006 },
      { "form": "sheet", "glass": 0, "thickness_m": 0.006 }
    ]
  },
  "kiln": {
    "top_C": 900, "power_K_per_s": 0.206, "loss_per_s": 6e-5, "radiantLoss_per_K3_s": 5.6e-14,
    "ambient_C": 20, "acrossLag_s_per_300mm": 72
  },
  "setup": {
    "below": [{ "of": "support", "thickness_m": 0.016, "conductivity_W_mK": 1.5, "density_kg_m3": 2000, "heatCapacity_J_kgK": 1050 }],
    "faces": {
      "top": { "kind": "open", "emissivity": 0.9, "convection_W_m2K": 5 },
      "bottom": { "kind": "open", "emissivity": 0.4, "convection_W_m2K": 0 }
    },
    "top_C": 1250
  }
}
JSON

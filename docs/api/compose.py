"""A schedule for a disc of 12 mm, full fused in a dam: python3 docs/api/compose.py [http://localhost:4310]"""
import json
import sys
import urllib.request

torvin = sys.argv[1] if len(sys.argv) > 1 else "http://localhost:4310"


def ask(path, body=None):
    data = None if body is None else json.dumps(body).encode()
    request = urllib.request.Request(torvin + path, data, {"Content-Type": "application/json"})
    with urllib.request.urlopen(request) as answer:
        return json.load(answer)


# SI units and °C throughout; each part of what is typical goes into a request as it is.
typical = ask("/api/compute/typical")
schedule = ask(
    "/api/compute/compose",
    {
        "look": "fullFuse",
        "body": {
            "footprint": {"shape": "disc", "diameter_m": 0.2},
            "dammed": True,
            "glasses": [typical["glasses"]["soft-90"]["glass"]],
            "layers": [{"form": "sheet", "glass": 0, "thickness_m": 0.006}] * 2,
        },
        "kiln": typical["kilns"]["typical"]["kiln"],
        "setup": typical["setups"]["bareShelf"]["setup"],
    },
)
for segment in schedule["segments"]:
    rate = "full speed" if segment["rate_C_per_h"] is None else f"{segment['rate_C_per_h']:.0f} °C/h"
    print(f"{segment['role']}: {rate} to {segment['target_C']:.0f} °C, hold {segment['hold_s'] / 60:.0f} min")
print(f"{schedule['total_s'] / 3600:.1f} h in all")

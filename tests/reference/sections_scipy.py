"""Sections measured once more with SciPy: splines through the printed points, fine grids and searches by brute force."""
import numpy as np
from scipy.interpolate import CubicSpline
from scipy.optimize import minimize_scalar

from common import finish, load, near, run, true


def curves(s):
    """Both surfaces as functions of √x, behind the few points ahead of x = 0."""
    out = []
    for surface in (s["upper"], s["lower"]):
        p = np.array([q for i, q in enumerate(surface) if i == 0 or q[0] > 1e-9])
        p = p[np.concatenate(([True], np.diff(p[:, 0]) > 1e-12))]
        out.append(CubicSpline(np.sqrt(np.maximum(p[:, 0], 0)), p[:, 1]))
    return out


def peak(f, low, high):
    xs = np.linspace(low, high, 4001)
    x0 = xs[np.argmax(f(xs))]
    best = minimize_scalar(lambda x: -f(x), bounds=(max(low, x0 - 0.02), min(high, x0 + 0.02)), method="bounded")
    return best.x, -best.fun


def naca(m, p, t, x):
    """4-digit ordinates by the equations of NACA Report 460, thickness laid off square, as functions of x by inverting."""
    u = np.linspace(0, 1, 6001) ** 2
    yt = 5 * t * (0.2969 * np.sqrt(u) - 0.1260 * u - 0.3516 * u ** 2 + 0.2843 * u ** 3 - 0.1015 * u ** 4)
    if m == 0:
        yc, slope = 0 * u, 0 * u
    else:
        ahead = u < p
        yc = np.where(ahead, m / p ** 2 * (2 * p * u - u ** 2), m / (1 - p) ** 2 * (1 - 2 * p + 2 * p * u - u ** 2))
        slope = np.where(ahead, 2 * m / p ** 2 * (p - u), 2 * m / (1 - p) ** 2 * (p - u))
    a = np.arctan(slope)
    up = np.interp(x, u - yt * np.sin(a), yc + yt * np.cos(a))
    low = np.interp(x, u + yt * np.sin(a), yc - yt * np.cos(a))
    return up, low


def nearest(s):
    """By brute force over all digits; rms of the height differences evenly along the chord."""
    x = np.linspace(0.0005, 1, 1500)
    up, low = (f(np.sqrt(x)) for f in curves(s))
    best = (9.0, "")
    for m in range(0, 8):
        for p in range(1, 8) if m else (0,):
            for t in range(6, 19):
                u, l = naca(m / 100, p / 10, t / 100, x)
                rms = np.sqrt(np.mean(((up - u) ** 2 + (low - l) ** 2) / 2))
                best = min(best, (rms, f"{m}{p}{t:02}"))
    return best


for spec in ("2412", "0009", "4415", "6409", "23012", "0012-64", "2410-34", "4412-63"):
    s = load(run("section", spec, "--json"))
    upper, lower = curves(s)
    at, thick = peak(lambda x: upper(np.sqrt(x)) - lower(np.sqrt(x)), 0.05, 0.7)
    near(f"{spec} thickness", s["thickness"], thick, 1e-4)
    near(f"{spec} thickest at", s["thicknessAt"], at, 0.006)
    middle = lambda x: (upper(np.sqrt(x)) + lower(np.sqrt(x))) / 2
    at, camber = peak(middle, 0.03, 0.9)
    near(f"{spec} camber", s["camber"], max(camber, 0), 1e-4)
    if camber > 1e-3:
        near(f"{spec} camber at", s["camberAt"], at, 0.012)
    # Undercamber: a straightedge from every pair of places that touches from below.
    x = np.linspace(0, 1, 401)
    y = lower(np.sqrt(x))
    gap = 0.0
    for i in range(400):
        slopes = (y[i + 1:] - y[i]) / (x[i + 1:] - x[i])
        j = i + 1 + int(np.argmin(slopes))
        run_gap = (y[i:j + 1] - y[i] - slopes[j - i - 1] * (x[i:j + 1] - x[i])) / np.hypot(1, slopes[j - i - 1])
        if np.all(y >= y[i] + slopes[j - i - 1] * (x - x[i]) - 1e-7):
            gap = max(gap, run_gap.max())
    near(f"{spec} undercamber", s["undercamber"], gap, 1.5e-4)
    # The flat run: no straight line through its ends is left by more than is said, and a longer one is.
    inside = np.linspace(s["flatFrom"], s["flatTo"], 400)
    chord = np.interp(inside, [inside[0], inside[-1]], lower(np.sqrt(inside[[0, -1]])))
    true(f"{spec} flat run is flat", np.abs(lower(np.sqrt(inside)) - chord).max() < 4.3e-4)
    rms, digits = nearest(s)
    near(f"{spec} nearest, rms", s["nearestFourDigit"]["rms"], rms, 1.2e-4)
    true(f"{spec} nearest {s['nearestFourDigit']['digits']} against {digits}", s["nearestFourDigit"]["digits"] == digits or abs(s["nearestFourDigit"]["rms"] - rms) < 3e-5)
    near(f"{spec} TE angle", s["tailAngleDeg"], np.degrees(np.arctan((lower(1) - lower(np.sqrt(0.9))) / 0.1) - np.arctan((upper(1) - upper(np.sqrt(0.9))) / 0.1)), 0.05)

finish()

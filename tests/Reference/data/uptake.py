"""Makes uptake.csv: the share of the way to equilibrium by numerical inversion of the Laplace transform.

With a limited, stirred bath of alpha times the piece's own volume, mean over surface concentration of the piece in the
Laplace domain is g(s): tanh(r) / r for the sheet, 2 I1(r) / (r I0(r)) for the cylinder, 3 (r coth r - 1) / s for the
sphere, r = sqrt(s). The mass balance with the bath gives F(s) = (1 + alpha) g / (s (alpha + g)). No root of any
equation is sought, so the table shares nothing with the series it is held against.

Fixed Talbot contour (Abate and Valko 2004). Run: python3 tests/Reference/data/uptake.py > tests/Reference/data/uptake.csv
"""

import numpy as np
from scipy.special import ive

TERMS = 32


def transform(form, s, alpha):
    r = np.sqrt(s)
    if form == "sheet":
        g = np.tanh(r) / r
    elif form == "cylinder":
        g = 2 * ive(1, r) / (r * ive(0, r))
    else:
        g = 3 * (r / np.tanh(r) - 1) / s
    return (1 + alpha) * g / (s * (alpha + g))


def share(form, fourier, alpha):
    k = np.arange(1, TERMS)
    theta = k * np.pi / TERMS
    cot = 1 / np.tan(theta)
    base = 2 * TERMS / (5 * fourier)
    s = base * theta * (cot + 1j)
    total = 0.5 * np.exp(base * fourier) * transform(form, complex(base), alpha)
    total += np.sum(np.exp(s * fourier) * transform(form, s, alpha) * (1 + 1j * (theta + (theta * cot - 1) * cot)))
    return float((base / TERMS * total).real)


print("form,fourier,alpha,share")
for form in ("sheet", "cylinder", "sphere"):
    for fourier in (1e-6, 1e-5, 1e-4, 1e-3, 3e-3, 0.01, 0.03, 0.1, 0.3, 1.0, 3.0, 10.0):
        for alpha in (0.05, 0.2, 0.5, 1.0, 2.0, 10.0, 1e3, 1e6):
            print(f"{form},{fourier:g},{alpha:g},{share(form, fourier, alpha):.7f}")

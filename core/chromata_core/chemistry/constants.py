"""Constants of nature: CODATA 2022 (exact since the SI of 2019 where marked), and conventional conditions."""

GAS_CONSTANT = 8.31446261815324
"""R in J/(mol·K), exact: N_A k."""

FARADAY = 96485.33212331001
"""F in C/mol, exact: N_A e."""

AVOGADRO = 6.02214076e23
"""N_A in 1/mol, exact."""

ZERO_CELSIUS = 273.15
"""0 °C in K, exact."""

ATMOSPHERE = 101325.0
"""1 atm in Pa, exact."""

BAR = 100000.0
"""1 bar in Pa, exact."""

"""The units of a teaching laboratory, in pint's own words. A short list reads in a hundredth of pint's whole one.

Exact by definition (SI brochure, 9th ed.; NIST SP 811, appendix B): atm, bar, torr = atm/760, thermochemical calorie
4.184 J, inch 25.4 mm. The conventional millimetre of mercury, 13.5951 × 9.80665 Pa = 133.322387415 Pa, is not the torr.
"""

DEFINITIONS = """
nano- = 1e-9 = n-
micro- = 1e-6 = µ- = μ- = u-
milli- = 1e-3 = m-
centi- = 1e-2 = c-
deci- = 1e-1 = d-
hecto- = 1e2 = h-
kilo- = 1e3 = k-
mega- = 1e6 = M-
meter = [length] = m = metre
second = [time] = s
kilogram = [mass] = kg
gram = 1e-3 * kilogram = g
kelvin = [temperature]; offset: 0 = K
mole = [substance] = mol
ampere = [current] = A
minute = 60 * second = min
hour = 3600 * second = h
degC = kelvin; offset: 273.15
degF = 5 / 9 * kelvin; offset: 255.37222222222223
liter = 1e-3 * meter ** 3 = L = l = litre
newton = kilogram * meter / second ** 2
joule = newton * meter = J
watt = joule / second = W
pascal = newton / meter ** 2 = Pa
bar = 1e5 * pascal
atmosphere = 101325 * pascal = atm
torr = atmosphere / 760
mm_Hg = 133.322387415 * pascal
cm_Hg = 10 * mm_Hg
in_Hg = 25.4 * mm_Hg
calorie = 4.184 * joule = cal
coulomb = ampere * second = C
volt = joule / coulomb = V
percent = 0.01
ppm = 1e-6
degree = 0.017453292519943295 = deg
"""

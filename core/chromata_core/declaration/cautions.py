"""The usual cautions, said at the step where they matter. Local rules and the responsible instructor decide.

Common practice, no published source; safety data sheets are the authority.
"""

DEFER = "Local rules, safety data sheets and your instructor decide."
GOGGLES = "Goggles on, from the first bottle to the last rinse."
BELOW_EYES = "Lower the burette to fill it: never pour above eye level. Take the funnel out."
BASE_BURNS = "Sodium hydroxide burns eyes and skin: rinse at once with much water and call your instructor."
ACID_BURNS = "Acid burns: rinse at once with much water and call your instructor. Acid into water, never the reverse."
NO_MOUTH = "Pipette filler only, never by mouth. Nothing that has touched laboratory ware is tasted."
HOT_CRUCIBLE = "A hot crucible looks like a cold one: tongs only, and never onto the bare bench."
FLAME = "Hair and sleeves back from the flame. Leave the lid slightly open, or it may be thrown off."
BUMPING = "A boiling flask bumps: boil gently, mouth away from people. Hot glass looks like cold glass."
NEUTRAL_WASTE = "Neutral salt solution goes down the sink with water only where local rules allow it."
METAL_WASTE = "Copper, barium and cobalt salts are hazardous to water: collect the residue as heavy-metal waste."
SPILL = "Wipe a spill of salt or acid off the balance at once; nothing is weighed directly on the pan."
NO_TASTING = "Nothing that has touched laboratory ware is tasted, not even sugar."
SMALL_TIPS = "Tips and droplets: keep the pipette upright, never suck by mouth."
DICHROMATE = (
    "Dichromate is toxic, carcinogenic and hazardous to water: gloves, no dust, no drop on the skin; "
    "call your instructor about any spill."
)
DILUTE_SULFURIC = "1 mol/L sulfuric acid burns: rinse at once with much water. Acid into water, never the reverse."
CHROMIUM_WASTE = "Chromium solutions are collected as hazardous waste, never poured down the sink."
COBALT = "Cobalt salts are harmful and may sensitise: gloves, no dust; collect solutions as heavy-metal waste."
ZINC_ACID = "Zinc and acid give off hydrogen: no flame nearby."
SILVER = "Silver nitrate stains skin and cloth and oxidises: gloves; collect residues as silver waste."
HOT_GLASS = "Hot glass looks like cold glass. Let the oven dish cool before you weigh or touch it."
BARIUM = "Soluble barium salts are poisonous: gloves, wash hands; collect filtrates as heavy-metal waste."
ACID_6M = (
    "6 mol/L acid burns at once and fumes: gloves, hood; rinse with much water. Acid into water, never the reverse."
)
HYDROGEN = "Hydrogen: no flame and no spark nearby; let it out under the hood."
GLASS_TUBE = "Hold the tube with both hands; never push on a stopper that sticks."
SHATTER = "Glass thermometer: it is no stirrer. Swirl the cup gently."
OPEN_FLAME = "Hair and sleeves back. Nothing that burns near the flame; extinguisher and fire blanket in reach."
NUTS = (
    "Nuts and seeds are an allergy risk, burning or whole: ask the class before, choose another food if anyone reacts."
)
SMOKE = "Burning food smokes: work under the hood."
HOT_CAN = "Can, holder and food stay hot: tongs, and never onto the bare bench."
NOT_EATEN = "Food that came into the laboratory is never eaten."
STRONG_BASE = (
    "1 mol/L sodium hydroxide burns eyes and skin badly: rinse at once with much water and call your instructor."
)
DISSOLVING = "Solids that warm while dissolving: add them in small portions, stirring, never water onto the solid."
DYE = "The solutions stain: gloves, and wipe drops up at once."
CUVETTE = "A cuvette is glass or thin plastic: hold it by the ribbed faces, never fill it over the instrument."
NITRIC = (
    "6 mol/L nitric acid burns and stains skin; on copper it gives brown, poisonous NO₂: under the hood, "
    "until all brown is gone."
)
COPPER_WASTE = "Copper solutions are hazardous to water: collect them as heavy-metal waste."
CHROMATE = (
    "Chromate is toxic, carcinogenic and hazardous to water: gloves, no dust, no drop on the skin; "
    "collect it as hazardous waste."
)
IODINE = "Iodine stains, and its vapour irritates: keep the beaker covered."
CURRENT = "Low voltage, but gas is given off: no flame; switch off before you touch a clip."
SULFUR_DIOXIDE = (
    "Sulfur dioxide is given off: ventilate, keep your face away, pour the tubes out under the hood at once."
)
HOT_WATER = "Water at 70 to 80 °C scalds: tongs for the tubes, the bath where nobody reaches over it."
METAL_SALTS = (
    "Salts of copper, zinc, lead and silver are poisonous or stain: gloves; collect them as heavy-metal waste."
)

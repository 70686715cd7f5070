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

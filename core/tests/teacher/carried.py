"""Lines worked on from one's own earlier ones: wrong, rounded, or right."""

from tests.teacher import Answer

# Back titration: 48.50 mL · 0.1018 − 12.73 mL · 0.0992 = 3.6745 mmol in 0.3539 g; wrong: 4.9373, without the back part
_BACK = (
    Answer("back-titration", "q", 1, "13.951", "= carried", (("n", 1, "4.9373"),)),
    Answer("back-titration", "q_mean", None, "12.163", "= carried", (("q", 1, "13.951"), ("q", 2, "10.375"))),
    Answer("back-titration", "n_tablet", None, "15.958", "= carried", (("q_mean", None, "12.163"),)),
    # the tablet's mass forgotten on top of the wrong value
    Answer("back-titration", "m_k", None, "1597", "one H|two|half|2", (("n_tablet", None, "15.958"),)),
    # rightly worked from 3.67, 0.354: nothing to mend
    Answer("back-titration", "q", 1, "10.37", "= right", (("n", 1, "3.67"),)),
    # right although the line before was wrong
    Answer("back-titration", "q", 1, "10.383", "= right", (("n", 1, "4.9373"),)),
    # a wrong line that does not enter: the slip is in this one
    Answer("back-titration", "n", 1, "4.9373", "base|back|subtracted|left", (("V", 1, "12.88"),)),
)

# Gas tube: p(H₂) 100.0935 kPa without the vapour's 2.550 taken off
_GAS = (
    Answer("gas-eudometer", "y", 1, "8.5476", "= carried", (("p_gas", 1, "100.0935"),)),
    Answer("gas-eudometer", "y", 1, "8.55", "= carried", (("p_gas", 1, "100.09"),)),
    Answer("gas-eudometer", "R_mean", None, "8.447", "= carried", (("y", 1, "8.5476"), ("y", 2, "8.3473"))),
    Answer("gas-eudometer", "y", 1, "117.6", "kelvin|273|Celsius", (("p_gas", 1, "100.0935"),)),
    Answer("gas-eudometer", "y", 1, "8.30", "= right", (("n_2", 1, "0.00149 mol"), ("p_gas", 1, "97.5"))),
    Answer("gas-eudometer", "y", 1, "7.01", "differs first", (("p_gas", 1, "100.0935"),)),
    Answer("gas-eudometer", "y", 1, "7.01", "right", (("p_gas", 1, "97.544"),)),
)

# Hydrate: 1.109 g of water, 0.061560 mol; taken as 0.0694 (a molar mass of 16)
_HYDRATE = (
    Answer("hydrate", "x_t", 1, "5.63", "= carried", (("n_water", 1, "0.0693"),)),
    Answer("hydrate", "x", None, "5.63", "= carried", (("x_t", 1, "5.63"),)),
    Answer("hydrate", "x_t", 1, "0.178", "turned|wrong way", (("n_water", 1, "0.0693"),)),
    Answer("hydrate", "x", None, "5", "= right", (("x_t", 1, "5.000"),)),
)

# Acid and base: c = 1.1722 mol/L (the dilution squared) → 157.18 g/L
_ACID = (
    Answer("acid-base-titration", "gamma", None, "157.18", "= carried", (("c_s", None, "1.1722"),)),
    Answer("acid-base-titration", "c_s", None, "0.2347", "= right", (("V_mean", None, "18.30"),)),
    Answer("acid-base-titration", "w_v", None, "15.7", "= carried", (("gamma", None, "157.18"),)),
    Answer(
        "acid-base-titration",
        "m_dose",
        None,
        "1.572",
        "= carried",
        (("c_s", None, "1.1722"), ("gamma", None, "157.18")),
    ),
)

ANSWERS: tuple[Answer, ...] = (*_BACK, *_GAS, *_HYDRATE, *_ACID)

"""From a bound sheet to every quantity: one walk, with an algebra for each kind of answer."""

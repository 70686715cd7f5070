"""Lines and curves through readings: calibration, end points, rates, temperature traces, half-cell ladders."""

"""Lines and curves through readings: calibration, end points, temperature traces, half-cell ladders."""

"""What people get to see: results, worked lines, diagnoses, charts, descriptions."""

"""What a plan will give before any reading exists."""

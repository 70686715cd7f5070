"""Work before class: what a plan lets every student work out and think about beforehand."""

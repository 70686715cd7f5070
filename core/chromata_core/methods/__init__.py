"""One experiment, one file, by family. The registry finds every module here that has a METHOD."""

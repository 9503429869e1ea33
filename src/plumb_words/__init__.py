"""The catalogue: what the program says, gathered for translators and checked."""

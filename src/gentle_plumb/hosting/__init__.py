"""Running the program on one machine: a private PostgreSQL, a free port, clean endings."""

"""Rules and computation of Sun Room: no framework, no sockets, no files, no clock."""

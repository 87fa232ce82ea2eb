// Databases are made and passwords hashed: longer than a unit test may take.
jest.setTimeout(30_000);

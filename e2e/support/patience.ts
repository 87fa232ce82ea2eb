// Pages are loaded and servers started: longer than a unit test may take, and then it failed.
jest.setTimeout(60_000);

jest.setTimeout(30000);

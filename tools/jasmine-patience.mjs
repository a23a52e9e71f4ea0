// A slow spell of the machine is not a failure: specs may take this long each, ms.
jasmine.DEFAULT_TIMEOUT_INTERVAL = 30_000;

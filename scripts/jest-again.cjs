// The server is tested in quickened time against real sockets: on a busy machine a wait can run out. A test that fails is told, and run once more.
/* global jest */
jest.retryTimes(1, { logErrorsBeforeRetry: true })

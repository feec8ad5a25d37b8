import '@testing-library/jest-dom/vitest';
import { cleanup, configure } from '@testing-library/react';
import { afterEach } from 'vitest';

afterEach(cleanup);

// A slow machine may take its time to draw; what holds does not depend on it.
configure({ asyncUtilTimeout: 15_000 });

// jsdom knows the element of a dialog, but not how to open it.
HTMLDialogElement.prototype.showModal = function showModal() {
  this.open = true;
};
HTMLDialogElement.prototype.close = function close() {
  this.open = false;
};

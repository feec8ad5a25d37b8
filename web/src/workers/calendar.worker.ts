import { expose } from 'comlink';
import { loadSolver } from '@dewpot/core/solver';
import wasm from 'highs/runtime?url';
import { makeCalendarWork } from './calendar-work';

expose(makeCalendarWork(() => loadSolver(wasm)));

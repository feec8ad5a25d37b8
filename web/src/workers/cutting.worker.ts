import { expose } from 'comlink';
import { loadSolver } from '@dewpot/core/solver';
import wasm from 'highs/runtime?url';
import { makeCuttingWork } from './cutting-work';

expose(makeCuttingWork(() => loadSolver(wasm), { sticks: 4, sheets: 9 }));

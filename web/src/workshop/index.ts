export * from './removed-page';

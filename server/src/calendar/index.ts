export * from './calendar.module.js';
export * from './calendar-facts.service.js';
export * from './orders.service.js';
export * from './plans.service.js';
export * from './weeks.service.js';

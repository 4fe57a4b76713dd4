export * from './head-measurements';
export * from './heads';
export * from './mixes';
export * from './plans';
export * from './products';
export * from './sets';
export * from './studios';
export * from './tools';

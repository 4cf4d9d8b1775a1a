export { threeWay, type Clash, type Merged } from './threeWay.js';

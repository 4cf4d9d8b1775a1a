/** Inner functions of core which the benchmark compares; not part of its public face. */
export { layOut } from '../core/dist/run/wave/layout.js';
export { attenuationNeper } from '../core/dist/line/attenuation.js';

import { prepareImage } from './image.js';

await prepareImage();

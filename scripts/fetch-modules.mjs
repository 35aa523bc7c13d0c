import { nodeModules } from './machine/modules.mjs';
import { main } from './machine/say.mjs';

await main(nodeModules);

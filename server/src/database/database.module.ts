import { Global, Module, type DynamicModule } from '@nestjs/common';
import { Changes } from './changes.js';
import type { OpenDatabase } from './database.js';
import { ShopChanges } from './shopChanges.js';

/** Token of the open database, since an interface leaves no trace at run time. */
export const DATABASE = Symbol('database');

@Global()
@Module({})
export class DatabaseModule {
  static with({ db, shopChanges, changes }: OpenDatabase): DynamicModule {
    return {
      module: DatabaseModule,
      providers: [
        { provide: DATABASE, useValue: db },
        { provide: ShopChanges, useValue: shopChanges },
        { provide: Changes, useValue: changes },
      ],
      exports: [DATABASE, ShopChanges, Changes],
    };
  }
}

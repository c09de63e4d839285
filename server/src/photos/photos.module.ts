import { Module } from '@nestjs/common';
import { Database } from '../database/open.js';
import { PhotoStore } from './photo-store.js';
import { PhotosController } from './photos.controller.js';

@Module({
  controllers: [PhotosController],
  providers: [
    { provide: PhotoStore, useFactory: (database: Database) => new PhotoStore(database.folder), inject: [Database] },
  ],
})
export class PhotosModule {}

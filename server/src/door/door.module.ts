import { Module } from '@nestjs/common';
import { DoorController } from './door.controller.js';
import { DoorService } from './door.service.js';
import { PeopleController } from './people.controller.js';
import { PeopleService } from './people.service.js';
import { PersonRecords } from './person-records.js';
import { TabletsService } from './tablets.service.js';

@Module({
  controllers: [DoorController, PeopleController],
  providers: [DoorService, PeopleService, PersonRecords, TabletsService],
})
export class DoorModule {}

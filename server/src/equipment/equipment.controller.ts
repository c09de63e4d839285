import { Controller, Get, Inject, Param, Query } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';
import type { EquipmentPage, VacuumAnswer } from '@winter-jar/contracts';
import type { Sight } from '@winter-jar/core';
import { Documented } from '../api/documented.js';
import { Needs } from '../house/needs.js';
import { Seeing, Sites } from '../house/sites.js';
import { EquipmentService } from './equipment.service.js';

@Needs('read')
@Sites('equipment')
@Controller('api')
export class EquipmentController {
  constructor(@Inject(EquipmentService) private readonly service: EquipmentService) {}

  @Get('equipment/:equipmentId')
  @ApiQuery({ name: 'before', required: false, type: String })
  @Documented({
    id: 'equipment',
    summary: 'An equipment with its own record: what ran on it by whatever pump, and a page of its entries',
    answer: 'EquipmentPage',
  })
  equipment(
    @Seeing() sight: Sight,
    @Param('equipmentId') equipmentId: string,
    @Query('before') before?: string,
  ): Promise<EquipmentPage> {
    return this.service.page(sight, equipmentId, before);
  }

  @Get('equipment/:equipmentId/vacuum')
  @Documented({
    id: 'vacuumRecord',
    summary: 'What the tests of a set show over the years: leak, moisture, pressures and speed, against their limits',
    answer: 'VacuumAnswer',
  })
  vacuum(@Seeing() sight: Sight, @Param('equipmentId') equipmentId: string): Promise<VacuumAnswer> {
    return this.service.vacuum(sight, equipmentId);
  }
}

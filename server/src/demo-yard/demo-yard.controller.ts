import { Controller, HttpCode, Inject, NotFoundException, Post } from '@nestjs/common';
import type { DemoYardOpened } from '@winter-jar/contracts';
import { Documented } from '../api/documented.js';
import { Needs } from '../house/needs.js';

/** Opens the demo yard beside the own data, and says where. Null where there is none to open. */
export const OPEN_DEMO_YARD = Symbol('open demo yard');
export type OpenDemoYard = (() => Promise<{ port: number }>) | null;

@Needs('keep')
@Controller('api/demo-yard')
export class DemoYardController {
  constructor(@Inject(OPEN_DEMO_YARD) private readonly open: OpenDemoYard) {}

  @Post()
  @HttpCode(200)
  @Documented({ id: 'openDemoYard', summary: 'Serve the demo yard on a port of its own', answer: 'DemoYardOpened' })
  async post(): Promise<DemoYardOpened> {
    if (!this.open) throw new NotFoundException('a server that can open a demo yard; this one serves it already');
    return this.open();
  }
}

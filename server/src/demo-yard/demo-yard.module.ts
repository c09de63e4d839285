import { Module, type DynamicModule } from '@nestjs/common';
import { DemoYardController, OPEN_DEMO_YARD, type OpenDemoYard } from './demo-yard.controller.js';

@Module({})
export class DemoYardModule {
  static opening(open: OpenDemoYard): DynamicModule {
    return {
      module: DemoYardModule,
      controllers: [DemoYardController],
      providers: [{ provide: OPEN_DEMO_YARD, useValue: open }],
    };
  }
}

import { Module, type DynamicModule } from '@nestjs/common';
import { MovableClock } from '../clock/movable-clock.js';
import { ClockHandController } from './clock-hand.controller.js';

@Module({})
export class ClockHandModule {
  /** @param clock one that can be moved; any other cannot, and there is nothing to move it by */
  static of(clock: unknown): DynamicModule {
    if (!(clock instanceof MovableClock)) return { module: ClockHandModule };
    const providers = [{ provide: MovableClock, useValue: clock }];
    return { module: ClockHandModule, controllers: [ClockHandController], providers };
  }
}

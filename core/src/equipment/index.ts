export { equipmentProjection } from './equipment-projection.js';
export { EQUIPMENT_FOLD_VERSION, type EquipmentState, type PumpOnEquipment } from './equipment-state.js';

import type { Model, ModelStatic } from 'sequelize';
import { AttemptRow, DrillTaskRow, WitnessedRow, WorkRuleRow } from '../database/drill-models';
import {
  EventRow,
  FaultCountRow,
  InstrumentRow,
  JobRow,
  KitRow,
  PersonRow,
  PhotoRow,
  ReceiptRow,
  ScrewEffectRow,
  SheetRow,
  SiteRow,
  StockRow,
  UnitRow,
  ValveRow,
} from '../database/models';
import { DrawnPartRow, JobLifeRow, OrderLineRow, PartLifeRow } from '../database/life-models';
import { CallRow, HappeningRow, HookRow, MachineTokenRow, WorkOrderRow } from '../database/machine-models';
import { RecordingRow } from '../database/recording-models';
import { SharedWordRow, ValveChangeRow, WordRow } from '../database/register-models';
import { WorkPlaceRow } from '../database/setup-models';
import {
  AbsenceRow,
  ExtraHoursRow,
  HolidayRow,
  JobOperationsRow,
  KeptWeekRow,
  OutageRow,
  PinRow,
  PlannedJobRow,
  WantRow,
  WorkTimesRow,
} from '../database/week-models';

/** Those that refer to others first. */
const TABLES: readonly ModelStatic<Model>[] = [
  EventRow,
  ReceiptRow,
  PhotoRow,
  RecordingRow,
  CallRow,
  HookRow,
  HappeningRow,
  WorkOrderRow,
  MachineTokenRow,
  JobRow,
  ValveRow,
  WordRow,
  SharedWordRow,
  ValveChangeRow,
  JobLifeRow,
  PartLifeRow,
  DrawnPartRow,
  OrderLineRow,
  SiteRow,
  InstrumentRow,
  WorkPlaceRow,
  AbsenceRow,
  ExtraHoursRow,
  HolidayRow,
  JobOperationsRow,
  KeptWeekRow,
  OutageRow,
  PinRow,
  PlannedJobRow,
  WantRow,
  WorkTimesRow,
  AttemptRow,
  DrillTaskRow,
  WorkRuleRow,
  WitnessedRow,
  StockRow,
  KitRow,
  UnitRow,
  FaultCountRow,
  ScrewEffectRow,
  SheetRow,
];

/** What an interrupted playing of the demo left: people are written last, so that where nobody is, nobody has worked. */
export async function clearHalfPlayed(): Promise<void> {
  if ((await PersonRow.count()) > 0) return;
  for (const table of TABLES) await table.destroy({ where: {} });
}

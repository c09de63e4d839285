import type { ComponentType } from 'react';
import { createBrowserRouter } from 'react-router';
import { RoundPage } from '../round/round-page.js';
import { PUMP_ACTIONS, type PumpActionId } from '../words/pump-actions.js';
import { NotFound, Opening, PageFailed } from './page-fallbacks.js';
import { Shell } from './shell.js';

type Page = () => Promise<ComponentType>;

/** The page of everything that can be done on a pump. */
const PUMP_PAGES: Readonly<Record<PumpActionId, Page>> = {
  run: async () => (await import('../run/log-run-page.js')).LogRunPage,
  look: async () => (await import('../oil/read-jar-page.js')).ReadJarPage,
  bleed: async () => (await import('../sump-work/sump-work-page.js')).BleedPage,
  change: async () => (await import('../sump-work/sump-work-page.js')).ChangePage,
  topUp: async () => (await import('../sump-work/sump-work-page.js')).TopUpPage,
  meter: async () => (await import('../run/meter-page.js')).MeterPage,
  takeOver: async () => (await import('../take-over/take-over-page.js')).TakeOverPage,
  done: async () => (await import('../service/done-page.js')).DonePage,
  labSample: async () => (await import('../oil/lab-sample-page.js')).LabSamplePage,
  labReport: async () => (await import('../oil/lab-result-page.js')).LabResultPage,
  note: async () => (await import('../journal/note-page.js')).NotePage,
  findCause: async () => (await import('../diagnosis/what-is-wrong-page.js')).WhatIsWrongPage,
  test: async () => (await import('../diagnosis/test-page.js')).TestPage,
  blankOff: async () => (await import('../diagnosis/test-page.js')).BlankOffPage,
  leakHunt: async () => (await import('../diagnosis/leak-hunt-page.js')).LeakHuntPage,
  gaugeLog: async () => (await import('../vacuum/gauge-log-page.js')).GaugeLogPage,
  vacuumRecord: async () => (await import('../vacuum/vacuum-record-page.js')).RecordOfItsSetPage,
  inlet: async () => (await import('../vacuum/inlet-page.js')).InletPage,
  openCase: async () => (await import('../diagnosis/case-open-page.js')).CaseOpenPage,
  closeCase: async () => (await import('../diagnosis/case-close-page.js')).CaseClosePage,
  checkRemedy: async () => (await import('../diagnosis/case-check-page.js')).CaseCheckPage,
  jobCards: async () => (await import('../labels/job-cards-page.js')).JobCardsPage,
  job: async () => (await import('../service/job-page.js')).JobPage,
  switchTag: async () => (await import('../labels/switch-tag-page.js')).SwitchTagPage,
  label: async () => (await import('../labels/labels-page.js')).LabelPage,
};

/** Every page but the Round, by its address. Each is loaded when it is first opened. */
const PAGES: Readonly<Record<string, Page>> = {
  'pumps/:pumpId': async () => (await import('../pumps/pump-page.js')).PumpPage,
  ...Object.fromEntries(
    Object.entries(PUMP_PAGES).map(([id, page]) => [`pumps/:pumpId/${PUMP_ACTIONS[id as PumpActionId].path}`, page]),
  ),
  'equipment/:equipmentId': async () => (await import('../equipment/equipment-page.js')).EquipmentPage,
  'equipment/:equipmentId/vacuum': async () => (await import('../vacuum/vacuum-record-page.js')).VacuumRecordPage,
  'cases/:caseId': async () => (await import('../diagnosis/case-report-page.js')).CaseReportPage,
  'pumps/:pumpId/jobs/:jobId': async () => (await import('../service/job-report-page.js')).JobReportPage,
  'pumps/:pumpId/job-cards/:procedure': async () => (await import('../labels/job-card-page.js')).JobCardPage,
  'pumps/:pumpId/job-cards/:procedure/bags': async () => (await import('../labels/bag-labels-page.js')).BagLabelsPage,
  'pumps/:pumpId/job-cards/:procedure/own-steps': async () =>
    (await import('../service/own-steps-page.js')).OwnStepsPage,
  'pumps/:pumpId/entries/:entryId': async () => (await import('../journal/history-page.js')).HistoryPage,
  store: async () => (await import('../store/store-page.js')).StorePage,
  'store/waste': async () => (await import('../store/waste-page.js')).WastePage,
  'store/waste/:entryId': async () => (await import('../store/consignment-note.js')).ConsignmentNotePage,
  'store/bring-in': async () => (await import('../store/bring-in-page.js')).BringInPage,
  'store/:containerId': async () => (await import('../store/container-page.js')).ContainerPage,
  'store/:containerId/pour': async () => (await import('../store/pour-page.js')).PourPage,
  'store/:containerId/stocktake': async () => (await import('../store/stocktake-page.js')).StocktakePage,
  'store/:containerId/media': async () => (await import('../store/media-page.js')).MediaPage,
  'store/:containerId/trace': async () => (await import('../store/trace-page.js')).TracePage,
  instruments: async () => (await import('../instruments/instruments-page.js')).InstrumentsPage,
  'instruments/:instrumentId': async () => (await import('../instruments/instrument-page.js')).InstrumentPage,
  'instruments/:instrumentId/channels': async () => (await import('../instruments/channels-page.js')).ChannelsPage,
  untold: async () => (await import('../run/untold-page.js')).UntoldPage,
  waiting: async () => (await import('../journal/waiting-page.js')).WaitingPage,
  unsettled: async () => (await import('../journal/unsettled-page.js')).UnsettledPage,
  suspects: async () => (await import('../diagnosis/suspects-page.js')).SuspectsPage,
  labels: async () => (await import('../labels/labels-page.js')).LabelsPage,
  start: async () => (await import('../run/start-page.js')).StartPage,
  'round/print': async () => (await import('../round/printed-round.js')).PrintedRound,
  'set-up': async () => (await import('../set-up/set-up-page.js')).SetUpPage,
  'set-up/add-pump': async () => (await import('../set-up/add-pump-page.js')).AddPumpPage,
  'set-up/file': async () => (await import('../set-up/set-up-file-page.js')).SetUpFilePage,
  'set-up/:kind': async () => (await import('../set-up/set-up-page.js')).SetUpPage,
  'set-up/:kind/:recordId': async () => (await import('../set-up/record-page.js')).RecordPage,
  'logs/notebook': async () => (await import('../notebook/notebook-page.js')).NotebookPage,
  'logs/:log': async () => (await import('../entry-log/entry-log-page.js')).EntryLogPage,
  backup: async () => (await import('../backup/backup-page.js')).BackupPage,
  people: async () => (await import('../people/people-page.js')).PeoplePage,
  'people/first-owner': async () => (await import('../people/first-owner-page.js')).FirstOwnerPage,
  'people/record': async () => (await import('../people/door-record-page.js')).DoorRecordPage,
  'sign-in': async () => (await import('../people/own-sign-in-page.js')).OwnSignInPage,
  phone: async () => (await import('../phone/phone-page.js')).PhonePage,
};

export const createRouter = () =>
  createBrowserRouter([
    // Outside: nothing of the house stands around it.
    {
      path: '/code',
      HydrateFallback: Opening,
      ErrorBoundary: PageFailed,
      lazy: async () => ({ Component: (await import('../people/code-page.js')).CodePage }),
    },
    {
      path: '/',
      Component: Shell,
      HydrateFallback: Opening,
      ErrorBoundary: PageFailed,
      children: [
        {
          ErrorBoundary: PageFailed,
          children: [
            { index: true, Component: RoundPage },
            ...Object.entries(PAGES).map(([path, load]) => ({ path, lazy: async () => ({ Component: await load() }) })),
            { path: '*', Component: NotFound },
          ],
        },
      ],
    },
  ]);

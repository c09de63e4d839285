import type { ComponentType } from 'react';
import { createBrowserRouter } from 'react-router';
import { RoundPage } from '../round/round-page.js';
import { NotFound, Opening, PageFailed } from './page-fallbacks.js';
import { Shell } from './shell.js';

/** Every page but the Round, by its address. Each is loaded when it is first opened. */
const PAGES: Readonly<Record<string, () => Promise<ComponentType>>> = {
  'pumps/:pumpId': async () => (await import('../pumps/pump-page.js')).PumpPage,
  'pumps/:pumpId/run': async () => (await import('../run/log-run-page.js')).LogRunPage,
  'pumps/:pumpId/look': async () => (await import('../oil/read-jar-page.js')).ReadJarPage,
  'pumps/:pumpId/bleed': async () => (await import('../sump-work/bleed-page.js')).BleedPage,
  'pumps/:pumpId/change': async () => (await import('../sump-work/change-page.js')).ChangePage,
  'pumps/:pumpId/top-up': async () => (await import('../sump-work/top-up-page.js')).TopUpPage,
  'pumps/:pumpId/meter': async () => (await import('../run/meter-page.js')).MeterPage,
  'pumps/:pumpId/take-over': async () => (await import('../take-over/take-over-page.js')).TakeOverPage,
  'pumps/:pumpId/done': async () => (await import('../service/done-page.js')).DonePage,
  'pumps/:pumpId/lab-sample': async () => (await import('../oil/lab-sample-page.js')).LabSamplePage,
  'pumps/:pumpId/lab-report': async () => (await import('../oil/lab-result-page.js')).LabResultPage,
  'pumps/:pumpId/note': async () => (await import('../journal/note-page.js')).NotePage,
  'pumps/:pumpId/what-is-wrong': async () => (await import('../diagnosis/what-is-wrong-page.js')).WhatIsWrongPage,
  'pumps/:pumpId/test': async () => (await import('../diagnosis/test-page.js')).TestPage,
  'pumps/:pumpId/leak-hunt': async () => (await import('../diagnosis/leak-hunt-page.js')).LeakHuntPage,
  'pumps/:pumpId/case-open': async () => (await import('../diagnosis/case-open-page.js')).CaseOpenPage,
  'pumps/:pumpId/case-close': async () => (await import('../diagnosis/case-close-page.js')).CaseClosePage,
  'pumps/:pumpId/case-check': async () => (await import('../diagnosis/case-check-page.js')).CaseCheckPage,
  'cases/:caseId': async () => (await import('../diagnosis/case-report-page.js')).CaseReportPage,
  'pumps/:pumpId/entries/:entryId': async () => (await import('../journal/history-page.js')).HistoryPage,
  'pumps/:pumpId/label': async () => (await import('../labels/labels-page.js')).LabelPage,
  suspects: async () => (await import('../diagnosis/suspects-page.js')).SuspectsPage,
  labels: async () => (await import('../labels/labels-page.js')).LabelsPage,
  start: async () => (await import('../run/start-page.js')).StartPage,
  'round/print': async () => (await import('../round/printed-round.js')).PrintedRound,
  'set-up': async () => (await import('../set-up/set-up-page.js')).SetUpPage,
  'set-up/add-pump': async () => (await import('../set-up/add-pump-page.js')).AddPumpPage,
  'set-up/file': async () => (await import('../set-up/set-up-file-page.js')).SetUpFilePage,
  'set-up/:kind': async () => (await import('../set-up/set-up-page.js')).SetUpPage,
  'set-up/:kind/:recordId': async () => (await import('../set-up/record-page.js')).RecordPage,
  'logs/:log': async () => (await import('../entry-log/entry-log-page.js')).EntryLogPage,
  backup: async () => (await import('../backup/backup-page.js')).BackupPage,
  phone: async () => (await import('../phone/phone-page.js')).PhonePage,
};

export const createRouter = () =>
  createBrowserRouter([
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

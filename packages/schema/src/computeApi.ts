/** The stateless compute API as one table. Apart from the documents' table, so that the web app does not carry it. */
import { get, send } from './api';
import {
  BodyAnswerSchema,
  BodyRequestSchema,
  CheckAnswerSchema,
  CheckRequestSchema,
  ComposeAnswerSchema,
  ComposeRequestSchema,
  QuantityAnswerSchema,
  QuantityRequestSchema,
  SimulateRequestSchema,
} from './compute';
import {
  TypicalSchema,
  CorrectionsAnswerSchema,
  CorrectionsRequestSchema,
  FitAnswerSchema,
  FitRequestSchema,
  FlowAnswerSchema,
  FlowRequestSchema,
  KilnFitAnswerSchema,
  KilnFitRequestSchema,
  PolariserAnswerSchema,
  PolariserRequestSchema,
  ReleaseAnswerSchema,
  ReleaseRequestSchema,
  SpreadFitAnswerSchema,
  SpreadFitRequestSchema,
} from './computeMore';
import { SimulationResultSchema } from './results';

export const computeApi = {
  computeTypical: get(
    '/api/compute/typical',
    'What ships as typical: glass families, set-ups, limits and schools, ready to be put into a request',
    TypicalSchema,
  ),
  computeQuantity: send('post', '/api/compute/quantity', 'Reads a quantity as people type it', QuantityRequestSchema, QuantityAnswerSchema),
  computeBody: send('post', '/api/compute/body', 'Depth, mass, unevenness and rest of a lay-up or a casting', BodyRequestSchema, BodyAnswerSchema),
  computeFit: send('post', '/api/compute/fit', 'Whether glasses that touch fit, by the strongest evidence', FitRequestSchema, FitAnswerSchema),
  computeFlow: send('post', '/api/compute/flow', 'One question of viscosity, heat work or flow', FlowRequestSchema, FlowAnswerSchema),
  computeRelease: send('post', '/api/compute/release', 'Whether glass comes free of a mould or a former', ReleaseRequestSchema, ReleaseAnswerSchema),
  computePolariser: send('post', '/api/compute/polariser', 'Retardation between crossed polarisers', PolariserRequestSchema, PolariserAnswerSchema),
  computeSimulate: send(
    'post',
    '/api/compute/simulate',
    'Heat through a layered stack along a schedule or a measured curve, with flow and stress',
    SimulateRequestSchema,
    SimulationResultSchema,
  ),
  computeCompose: send('post', '/api/compute/compose', 'A schedule for a body, a look, a set-up and a kiln', ComposeRequestSchema, ComposeAnswerSchema),
  computeCheck: send('post', '/api/compute/check', 'Any schedule held against every limit', CheckRequestSchema, CheckAnswerSchema),
  computeKilnFit: send('post', '/api/compute/kiln-fit', "A kiln's constants from a test", KilnFitRequestSchema, KilnFitAnswerSchema),
  computeSpreadFit: send(
    'post',
    '/api/compute/spread-fit',
    'What two thermocouples at the glass say of set-up and speed',
    SpreadFitRequestSchema,
    SpreadFitAnswerSchema,
  ),
  computeCorrections: send(
    'post',
    '/api/compute/corrections',
    'Offset and work factor from looks reached or missed',
    CorrectionsRequestSchema,
    CorrectionsAnswerSchema,
  ),
} as const;

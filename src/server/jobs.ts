import { type AxleView, type JobView } from '@/contracts/job';
import { notFound } from '@/contracts/problem';
import { type Side } from '@/core/vehicle/side';
import { type Tx } from '@/data/client';
import {
  jobFindings,
  jobKit,
  jobPhotos,
  jobPressRuns,
  shopLimits,
  vehicleFailures,
  vehicleFeatures,
  vehicleSideFindings,
} from '@/data/inspect';
import { jobCosts } from '@/data/cost';
import { jobClosing, jobDefects } from '@/data/defect';
import { jobDue, shopToday, vehicleOdometer } from '@/data/due';
import * as jobs from '@/data/job';
import { jobAxles, jobSeen } from '@/data/jobAxle';
import * as plans from '@/data/plan';
import { currentReadings, jobDays } from '@/data/reading';
import { shopDaysOff, vehicleAxles } from '@/data/shop';
import { together } from '@/data/together';
import { jobArrivals, jobBay, jobFastenerSizes, jobNeeded, jobWaits, toolsHere } from '@/data/prepare';
import { jobIncidents, jobLegThreads, jobTicks } from '@/data/stepTick';
import { axleLessons, jobFunctionChecks, jobHandOver, jobRoadTests, jobSettlingHeights } from '@/data/prove';
import { shopExpects } from '@/data/expects';
import { jobTorqueReadings, jobTorques } from '@/data/torque';

/** What each part of a job's view is read by; all of one list are read as one statement. */
const OF_JOB = {
  job: jobs.jobRow,
  vehicle: jobs.jobVehicle,
  axle: jobs.jobAxle,
  jobAxles,
  seen: jobSeen,
  states: jobs.jobStates,
  packs: jobs.jobPacks,
  leaves: jobs.jobLeaves,
  readings: currentReadings,
  days: jobDays,
  goals: jobs.jobGoals,
  plans: plans.jobPlans,
  predictions: plans.jobPredictions,
  safety: jobs.jobSafety,
  survey: jobs.jobSurvey,
  build: jobs.jobBuild,
  outcomes: jobs.jobOutcomes,
  due: jobDue,
  findings: jobFindings,
  photos: jobPhotos,
  kit: jobKit,
  costs: jobCosts,
  schools: plans.jobSchools,
  pressRuns: jobPressRuns,
  torques: jobTorques,
  torqueReadings: jobTorqueReadings,
  ticks: jobTicks,
  incidents: jobIncidents,
  legThreads: jobLegThreads,
  needed: jobNeeded,
  arrivals: jobArrivals,
  waits: jobWaits,
  bays: jobBay,
  fastenerSizes: jobFastenerSizes,
  defects: jobDefects,
  closing: jobClosing,
  functionChecks: jobFunctionChecks,
  roadTests: jobRoadTests,
  settlingHeights: jobSettlingHeights,
  handOvers: jobHandOver,
  lessons: axleLessons,
} as const;
const OF_VEHICLE = {
  axles: vehicleAxles,
  sideFindings: vehicleSideFindings,
  failures: vehicleFailures,
  features: vehicleFeatures,
  odometer: vehicleOdometer,
} as const;

type Reads<Id> = Record<string, (tx: Tx, id: Id) => Promise<unknown>>;
type Read<R extends Reads<string>> = { [K in keyof R]: Awaited<ReturnType<R[K]>> };

async function readAll<R extends Reads<string>>(tx: Tx, reads: R, id: string): Promise<Read<R>> {
  const found = await Promise.all(
    Object.entries(reads).map(async ([name, read]) => [name, await read(tx, id)] as const),
  );
  return Object.fromEntries(found) as Read<R>;
}

/** A job seen at one of its axles, in two statements. @throws ProblemError not-found */
async function loadAxle(tx: Tx, id: string): Promise<AxleView> {
  const [
    {
      job: [job],
      vehicle: [vehicle],
      axle: [axle],
      build: [build],
      closing: [closing],
      seen: [seen],
      bays: [bay],
      handOvers: [handOver],
      packs,
      leaves,
      plans,
      ...own
    },
    limits,
    expects,
    today,
    toolKinds,
    daysOff,
  ] = await Promise.all([
    readAll(tx, OF_JOB, id),
    shopLimits(tx),
    shopExpects(tx),
    shopToday(tx),
    toolsHere(tx),
    shopDaysOff(tx),
  ]);
  const pack = packs.find((p) => p.side === null);
  if (!job || !vehicle || !axle || !pack || !seen || !plans.plan) throw notFound('This job');
  const { odometer, ...ofVehicle } = await readAll(tx, OF_VEHICLE, vehicle.id);
  const leavesOf = (side: Side | null) =>
    leaves.filter((l) => l.side === side).map(({ id, ordinal }) => ({ id, ordinal }));
  const ownPack = pack.otherSide === 'different' && packs.find((p) => p.side !== null && p.side === pack.ownSide);
  return {
    ...own,
    ...ofVehicle,
    ...seen,
    id,
    job,
    vehicle,
    axle,
    pack,
    leaves: leavesOf(null),
    own: ownPack ? { pack: ownPack, leaves: leavesOf(ownPack.side) } : null,
    limits,
    expects,
    today,
    daysOff,
    toolsHere: toolKinds,
    plan: plans.plan,
    plans: plans.plans,
    build: build ?? null,
    closing: closing ?? null,
    bay: bay ?? null,
    handOver: handOver ?? null,
    odometer: odometer[0] ?? null,
  };
}

/** Everything a page of one job shows at one of its axles, the other ones with it. @throws ProblemError not-found */
export async function loadJob(direct: Tx, id: string): Promise<JobView> {
  const tx = together(direct);
  const view = await loadAxle(tx, id);
  const beside = view.jobAxles.filter((x) => x.id !== id && !x.dropped);
  return { ...view, others: await Promise.all(beside.map((x) => loadAxle(tx, x.id))) };
}

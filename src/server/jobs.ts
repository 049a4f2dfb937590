import { type JobView } from '@/contracts/job';
import { notFound } from '@/contracts/problem';
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
import { jobClosing, jobDefects } from '@/data/defect';
import { jobDue, shopToday, vehicleOdometer } from '@/data/due';
import * as jobs from '@/data/job';
import { jobTorqueReadings, jobTorques } from '@/data/torque';
import { jobCosts } from '@/data/cost';
import * as plans from '@/data/plan';
import { currentReadings, jobDays } from '@/data/reading';
import { vehicleAxles } from '@/data/shop';

/** Everything a page of one job shows. @throws ProblemError not-found */
export async function loadJob(tx: Tx, id: string): Promise<JobView> {
  const [
    [job],
    [vehicle],
    [axle],
    states,
    [pack],
    leaves,
    readings,
    { plan, plans: all },
    predictions,
    safety,
    [build],
    outcomes,
    due,
  ] = [
    await jobs.jobRow(tx, id),
    await jobs.jobVehicle(tx, id),
    await jobs.jobAxle(tx, id),
    await jobs.jobStates(tx, id),
    await jobs.jobPack(tx, id),
    await jobs.jobLeaves(tx, id),
    await currentReadings(tx, id),
    await plans.jobPlans(tx, id),
    await plans.jobPredictions(tx, id),
    await jobs.jobSafety(tx, id),
    await jobs.jobBuild(tx, id),
    await jobs.jobOutcomes(tx, id),
    await jobDue(tx, id),
  ];
  if (!job || !vehicle || !axle || !pack || !plan) throw notFound('This job');
  return {
    job,
    vehicle,
    axle,
    axles: await vehicleAxles(tx, vehicle.id),
    findings: await jobFindings(tx, id),
    photos: await jobPhotos(tx, id),
    sideFindings: await vehicleSideFindings(tx, vehicle.id),
    failures: await vehicleFailures(tx, vehicle.id),
    limits: await shopLimits(tx),
    kit: await jobKit(tx, id),
    costs: await jobCosts(tx, id),
    schools: await plans.jobSchools(tx, id),
    features: await vehicleFeatures(tx, vehicle.id),
    pressRuns: await jobPressRuns(tx, id),
    survey: await jobs.jobSurvey(tx, id),
    torques: await jobTorques(tx, id),
    torqueReadings: await jobTorqueReadings(tx, id),
    defects: await jobDefects(tx, id),
    closing: (await jobClosing(tx, id))[0] ?? null,
    odometer: (await vehicleOdometer(tx, vehicle.id))[0] ?? null,
    today: await shopToday(tx),
    plans: all,
    goals: await jobs.jobGoals(tx, id),
    days: await jobDays(tx, id),
    states,
    pack,
    leaves,
    readings,
    plan,
    predictions,
    safety,
    build: build ?? null,
    outcomes,
    due,
  };
}

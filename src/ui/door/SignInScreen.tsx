'use client';
import { type Door } from '@/contracts/door';
import { VehicleSketch } from '../drawing/VehicleSketch';
import { DoorForm } from './DoorForm';
import { DoorFrame } from './DoorFrame';

/** The door itself. @param to where it leads back to */
export function SignInScreen({ door, to }: { door: Door; to: string }) {
  return (
    <DoorFrame title="Sign in">
      <div className="door-vehicle" aria-hidden>
        <VehicleSketch
          form="truck"
          wheelbase={3300}
          width={300}
          axles={[
            { position: 'front', pair: false, touched: false },
            { position: 'rear', pair: false, touched: true },
          ]}
        />
      </div>
      <DoorForm door={door} says="Sign in" tablet onIn={() => window.location.assign(to)} />
      <p className="muted small">
        No account yet, or the password is lost: an owner of the shop makes one anew. The Handbook needs no account.
      </p>
    </DoorFrame>
  );
}

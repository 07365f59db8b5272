import type { Covariance } from './pot';

/** How mass and temperature after a step lean on mass, temperature and gain before it; the gain stays what it was. */
export interface Jacobian {
  massByMass: number;
  massByTemp: number;
  massByGain: number;
  tempByMass: number;
  tempByTemp: number;
  tempByGain: number;
}

/** No doubt about mass and temperature, the given doubt about the gain. */
export function startingCovariance(gainSd: number): Covariance {
  return { mass: 0, massTemp: 0, massGain: 0, temp: 0, tempGain: 0, gain: gainSd * gainSd };
}

/** Doubt carried through a step, J·P·Jᵀ, with the step's own noise (variances) on the diagonal. */
export function carry(
  p: Covariance,
  j: Jacobian,
  noise: { mass: number; temp: number; gain: number },
): Covariance {
  const massRow = {
    mass: j.massByMass * p.mass + j.massByTemp * p.massTemp + j.massByGain * p.massGain,
    temp: j.massByMass * p.massTemp + j.massByTemp * p.temp + j.massByGain * p.tempGain,
    gain: j.massByMass * p.massGain + j.massByTemp * p.tempGain + j.massByGain * p.gain,
  };
  const tempRow = {
    mass: j.tempByMass * p.mass + j.tempByTemp * p.massTemp + j.tempByGain * p.massGain,
    temp: j.tempByMass * p.massTemp + j.tempByTemp * p.temp + j.tempByGain * p.tempGain,
    gain: j.tempByMass * p.massGain + j.tempByTemp * p.tempGain + j.tempByGain * p.gain,
  };
  return {
    mass:
      massRow.mass * j.massByMass + massRow.temp * j.massByTemp + massRow.gain * j.massByGain + noise.mass,
    massTemp: massRow.mass * j.tempByMass + massRow.temp * j.tempByTemp + massRow.gain * j.tempByGain,
    massGain: massRow.gain,
    temp:
      tempRow.mass * j.tempByMass + tempRow.temp * j.tempByTemp + tempRow.gain * j.tempByGain + noise.temp,
    tempGain: tempRow.gain,
    gain: p.gain + noise.gain,
  };
}

/** How far a measurement pulls each of the three, and the doubt that is left. */
export interface Lesson {
  pull: { mass: number; temp: number; gain: number };
  covariance: Covariance;
}

/** What measuring the mass or the temperature does: the Kalman update, each pulled by its covariance with it. */
export function learn(p: Covariance, what: 'mass' | 'temp', innovation: number, variance: number): Lesson {
  const beside =
    what === 'mass'
      ? { mass: p.mass, temp: p.massTemp, gain: p.massGain }
      : { mass: p.massTemp, temp: p.temp, gain: p.tempGain };
  const scale = 1 / (p[what] + variance);
  return {
    pull: {
      mass: beside.mass * scale * innovation,
      temp: beside.temp * scale * innovation,
      gain: beside.gain * scale * innovation,
    },
    covariance: {
      mass: p.mass - beside.mass * beside.mass * scale,
      massTemp: p.massTemp - beside.mass * beside.temp * scale,
      massGain: p.massGain - beside.mass * beside.gain * scale,
      temp: p.temp - beside.temp * beside.temp * scale,
      tempGain: p.tempGain - beside.temp * beside.gain * scale,
      gain: p.gain - beside.gain * beside.gain * scale,
    },
  };
}

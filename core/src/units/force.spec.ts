import { formatPressure, formatTension, N_M_PER_LBF_FT, PA_PER_LBF_FT2, PRESSURE_UNITS, TENSION_UNITS } from './force';

describe('pressure and pull', () => {
  it('are printed in the units of the job', () => {
    // By hand: 1000 Pa are 1000 N on a square metre, 224.81 lbf on 10.7639 ft².
    expect(1000 / PA_PER_LBF_FT2).toBeCloseTo(224.809 / 10.76391, 3);
    // 100 N on a metre are 22.481 lbf on 3.28084 ft.
    expect(100 / N_M_PER_LBF_FT).toBeCloseTo(22.4809 / 3.28084, 3);
    expect(`${formatPressure(1321.4, 'metric')} ${PRESSURE_UNITS.metric}`).toBe('1\u202f321 Pa');
    expect(`${formatPressure(1000, 'inch')} ${PRESSURE_UNITS.inch}`).toBe('20.9 lbf/ft²');
    expect(`${formatTension(100, 'inch')} ${TENSION_UNITS.inch}`).toBe('6.9 lbf/ft');
    expect(`${formatTension(163.6, 'metric')} ${TENSION_UNITS.metric}`).toBe('164 N/m');
  });
});

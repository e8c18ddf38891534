import request from 'supertest';
import { app, boat, put } from './boatsApi.fixture';

describe('the water of a boat', () => {
  const wet = (change: object = {}) => {
    const job = boat();
    const well = { id: 'bilge', name: 'Bilge', aftM: -0.5, foreM: 0.5, section: { kind: 'box', widthM: 0.4 } };
    return {
      ...job,
      wells: [well],
      circuits: job.circuits.map((circuit) => ({ ...circuit, water: { wellId: 'bilge', float: { zM: 0.01 } } })),
      ...change,
    };
  };

  it('is kept as it was sent', async () => {
    const job = wet({ poses: [{ id: 'rest', name: 'At rest', trimDeg: -1, heelDeg: 0 }] });
    await put(job, job.boat.id).set('If-None-Match', '*').expect(201);
    const read = await request(app).get(`/api/boats/${job.boat.id}`).expect(200);
    expect(read.body.job).toEqual(job);
  });

  it.each([
    [
      'a well without length',
      { wells: [{ id: 'bilge', name: 'Bilge', aftM: 0, foreM: 0, section: { kind: 'box', widthM: 0.4 } }] },
      '$.wells[0].foreM',
    ],
    [
      'wells of the same id',
      {
        wells: [0, 1].map(() => ({
          id: 'bilge',
          name: 'Bilge',
          aftM: -1,
          foreM: 1,
          section: { kind: 'box', widthM: 1 },
        })),
      },
      '$.wells[1].id',
    ],
    [
      'an ingress into a well that is not there',
      { ingress: [{ id: 'rain', name: 'Rain', wellId: 'fish', sources: [{ kind: 'steady', flowLPerH: 5 }] }] },
      '$.ingress[0].wellId',
    ],
    [
      'water that flows backwards',
      { ingress: [{ id: 'rain', name: 'Rain', sources: [{ kind: 'steady', flowLPerH: -5 }] }] },
      '$.ingress[0].sources[0].flowLPerH',
    ],
    [
      'a pose on her beam ends',
      { poses: [{ id: 'over', name: 'Over', trimDeg: 0, heelDeg: 90 }] },
      '$.poses[0].heelDeg',
    ],
  ])('refuses %s with its path', async (_what, change, path) => {
    const job = wet(change);
    const answer = await put(job, job.boat.id).set('If-None-Match', '*').expect(400);
    expect(answer.headers['content-type']).toContain('application/problem+json');
    expect(JSON.stringify(answer.body)).toContain(path);
  });
});

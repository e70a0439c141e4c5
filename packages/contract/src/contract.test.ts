import 'reflect-metadata';
import { describe, expect, it } from '@jest/globals';
import { plainToInstance } from 'class-transformer';
import { validate } from 'class-validator';
import { CreateJobDto, NewJobForm, SaveDesignDto, UpdateJobDto } from './index.js';

const wrongFields = async (value: object): Promise<readonly string[]> =>
  (await validate(value)).map(({ property }) => property);

describe('what crosses the wire', () => {
  it('a new job needs a name and a design', async () => {
    expect(await wrongFields(plainToInstance(CreateJobDto, { name: 'A', design: {} }))).toEqual([]);
    expect(await wrongFields(plainToInstance(CreateJobDto, { name: '', design: 3 }))).toEqual(['name', 'design']);
    expect(await wrongFields(plainToInstance(CreateJobDto, { name: 'A', design: {}, dueOn: '2030-13-01' }))).toEqual([
      'dueOn',
    ]);
  });

  it('an update may leave everything out, but not say nonsense', async () => {
    expect(await wrongFields(plainToInstance(UpdateJobDto, {}))).toEqual([]);
    expect(await wrongFields(plainToInstance(UpdateJobDto, { status: 'lost', customer: 'x'.repeat(200) }))).toEqual([
      'customer',
      'status',
    ]);
  });

  it.each(['2030-W05-3', '2030-02-30', '0000-01-01', '2030-1-1', '20300101', '2030-01-01T00:00:00Z', 7])(
    'a due date is a day of the calendar, and %s is none',
    async (dueOn) => {
      expect(await wrongFields(plainToInstance(UpdateJobDto, { dueOn }))).toEqual(['dueOn']);
    },
  );

  it('a due date may be taken back, a name may not', async () => {
    expect(await wrongFields(plainToInstance(UpdateJobDto, { dueOn: null }))).toEqual([]);
    expect(await wrongFields(plainToInstance(UpdateJobDto, { name: null, customer: null, status: null }))).toEqual([
      'name',
      'customer',
      'status',
    ]);
  });

  it('texts can be shown: no NUL, no half of a character', async () => {
    for (const name of ['Bar\u0000', 'Bar \ud83c', '\udf7a Bar', 'Bar\u001b[2J'])
      expect(await wrongFields(plainToInstance(UpdateJobDto, { name }))).toEqual(['name']);
    expect(await wrongFields(plainToInstance(UpdateJobDto, { name: 'Bar \u{1f37a}\nGrün' }))).toEqual([]);
  });

  it('a save is a design with a short note', async () => {
    expect(await wrongFields(plainToInstance(SaveDesignDto, { design: {}, note: 'x'.repeat(201) }))).toEqual(['note']);
  });

  it('the form of a new job starts with only its words missing', async () => {
    const form = new NewJobForm();
    expect(await wrongFields(form)).toEqual(['text']);
    Object.assign(form, { text: 'OPEN', sizesMm: { widthMm: 3, heightMm: 300 }, readingDistanceMm: 0.5 });
    expect(await wrongFields(form)).toEqual(['sizesMm', 'readingDistanceMm']);
  });
});

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

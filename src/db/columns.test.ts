import { tableOf } from './columns';

const table = tableOf<{ id: string; massG: number; traits: string[] }>({
  id: 'text',
  massG: 'double precision',
  traits: 'text[]',
});

test('one list of fields makes every clause that names them', () => {
  expect(table.select('thing')).toBe('thing.id, thing.mass_g, thing.traits');
  expect(table.columns).toBe('id, mass_g, traits');
  expect(table.values).toBe('id, mass_g, array(select jsonb_array_elements_text(traits))');
  expect(table.updates).toBe('mass_g = excluded.mass_g, traits = excluded.traits');
  expect(table.recordset).toBe('id text, mass_g double precision, traits jsonb');
});

test('an item is its row and back', () => {
  const item = { id: 'a', massG: 5, traits: ['wet'] };
  expect(table.row(item)).toEqual({ id: 'a', mass_g: 5, traits: ['wet'] });
  expect(table.item({ ...table.row(item), other: 1 })).toEqual(item);
});

test('columns of one kind beside those of another: a prefix, and days as they are written', () => {
  const rider = tableOf<{ bornOn: string }>({ bornOn: 'date' }, 'rider_');
  expect(rider.select('trip')).toBe("to_char(trip.rider_born_on, 'YYYY-MM-DD') as rider_born_on");
  expect(rider.recordset).toBe('rider_born_on date');
  expect(rider.item(rider.row({ bornOn: '2027-04-16' }))).toEqual({ bornOn: '2027-04-16' });
});

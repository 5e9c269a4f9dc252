-- Up Migration

-- Traits that no thing could have so far, by its name, as a new thing of that name would have them: the rider changes what is
-- wrong. The words are those of src/core/kit/guess.ts.
update thing set traits = array_replace(traits, 'fuel', 'liquid fuel')
  where 'fuel' = any (traits) and name ~* '\m(petrol|paraffin|alcohol|meths|spirit)\M'
    and name !~* '\m(gauge|scale|wipes?|gel)\M';
update thing set traits = traits || '{dirty}'
  where name ~* '\m(shoes|sandals|clogs|boots|slippers|flip-?flops)\M';
update thing set traits = traits || '{fragile}'
  where name ~* '\m(camera|drone|lens|glasses|binoculars)\M'
    and name !~* '\m(action|strap|battery|batteries|charger)\M';
update thing set traits = traits || '{hose}'
  where name ~* '\m(hose|hydration|reservoir)\M';

-- Down Migration

update thing set traits = array_remove(array_remove(array_remove(traits, 'dirty'), 'fragile'), 'hose');
update thing set traits = array_replace(traits, 'liquid fuel', 'fuel');

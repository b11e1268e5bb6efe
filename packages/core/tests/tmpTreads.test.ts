import { it } from 'vitest';
import { caseFileSchema } from '@keen/contract';
import { diagnose } from '../src/steps/explain/diagnose.ts';
import { verdictOf } from '../src/steps/explain/verdict.ts';
import { causeGroups } from '../src/steps/explain/causeGroups.ts';
import { evenCar } from './evenCar.ts';
import { writeFileSync } from 'node:fs';
const out: string[] = [];
function show(name: string, file: any) {
  const ok = caseFileSchema.safeParse(file); if (!ok.success) { out.push('BAD ' + name + JSON.stringify(ok.error.issues)); return; }
  const parsed = caseFileSchema.parse(file);
  const { diagnosis } = diagnose(parsed);
  const v: any = (verdictOf as any)(diagnosis, parsed);
  out.push(`### ${name}`);
  out.push('  ' + [v.headline, v.sure, v.detail, v.also].filter(Boolean).join(' | '));
  out.push('  rows: ' + causeGroups(diagnosis).slice(0, 6).map((g: any) => `${g.cause} ${(g.places ?? []).map((p: any) => `${p.where} ${(p.probability*100).toFixed(0)}`).join('/')}`).join(' | '));
  out.push(`  ADVICE ${diagnosis.recommendation.action} :: ${diagnosis.recommendation.reasons.join(' / ')} :: parts ${diagnosis.recommendation.parts.map((q: any)=>q.part+' '+q.where+' '+q.why).join('; ')}`);
}
const p = (o: Partial<Record<'lf'|'rf'|'lr'|'rr', number>>, target = 230) => (f: any) => { for (const [w, m] of Object.entries(o)) f.tires[w].pressure = { target, measured: m }; };
it('shows', () => {

  const rig = (f: any, lf=0.03, rf=0.02, lr=0.05, rr=0.05, c=-0.5, cr=-0.8) => { f.angles={ lf:{camber:c,toe:lf}, rf:{camber:c,toe:rf}, lr:{camber:cr,toe:lr}, rr:{camber:cr,toe:rr} }; };
  show('toe-out both fronts, rig reads in tolerance, play none', evenCar({ lf:[3.0,4.0,4.8], rf:[3.1,4.0,4.8] }, (f: any)=>{ f.tires.lf.feather=f.tires.rf.feather='catchesInward'; rig(f); f.play={lf:'none',rf:'none',lr:'none',rr:'none'}; }));
  show('lf inner, rig in order, play none', evenCar({ lf:[2.8,4.4,5.4] }, (f: any)=>{ rig(f); f.play={lf:'none',rf:'none',lr:'none',rr:'none'}; }));
  show('lf inner, rig says camber lf -2.2', evenCar({ lf:[2.8,4.4,5.4] }, (f: any)=>{ rig(f); f.angles.lf.camber=-2.2; }));
  show('lf inner, rig says camber rf +1.4 (other wheel), lf fine', evenCar({ lf:[2.8,4.4,5.4] }, (f: any)=>{ rig(f); f.angles.rf.camber=1.4; }));
  show('waves front heavy + saw front', evenCar({ lf:[4.2,3.8,3.2], rf:[4.3,3.8,3.2] }, (f: any)=>{ f.tires.lf.cupping=f.tires.rf.cupping='heavy'; f.tires.lf.feather=f.tires.rf.feather='catchesOutward'; }));
  show('waves lf heavy + lf inner edge', evenCar({ lf:[3.2,4.6,5.5] }, (f: any)=>{ f.tires.lf.cupping='heavy'; }));
  show('waves some rear + both rear inner edges', evenCar({ lr:[4.0,5.6,6.3], rr:[3.9,5.5,6.3] }, (f: any)=>{ f.tires.lr.cupping=f.tires.rr.cupping='some'; }));
  show('vibration + noise, even', evenCar({}, (f: any)=>{ f.complaints=['vibration','noise']; }));
  show('wander, front worn fast outward saw, play excessive rf', evenCar({ lf:[3.9,3.4,2.8], rf:[4.0,3.4,2.7] }, (f: any)=>{ f.complaints=['wander']; f.tires.lf.feather=f.tires.rf.feather='catchesOutward'; f.play={lf:'none',rf:'excessive',lr:'none',rr:'none'}; }));
  show('pulls right, lf inner rf outer (camber right)', evenCar({ lf:[3.9,4.8,5.4], rf:[5.4,4.8,3.9] }, (f: any)=>{ f.complaints=['pullsRight']; }));
  show('pressure low all + inner front edges', evenCar({ lf:[2.4,4.8,4.4], rf:[2.5,4.8,4.3], lr:[5.2,6.2,5.2], rr:[5.2,6.2,5.2] }, p({lf:180,rf:180,lr:180,rr:180})));
  show('one rear soft on the trailer side', evenCar({ rr:[4.4,6.1,4.5] }, (f: any)=>{ f.vehicle.use='towing'; p({rr:160})(f); }));
  show('hard pressures not taken, centre both rears', evenCar({ lr:[6.2,4.9,6.2], rr:[6.2,4.9,6.1] }, (f: any)=>{ for (const w of ['lf','rf','lr','rr']) delete f.tires[w].pressure; f.vehicle.drive='rwd'; }));
  show('track car, front inner & outer shoulders', evenCar({ lf:[4.0,5.0,3.6], rf:[4.0,5.0,3.6] }, (f: any)=>{ f.vehicle.use='track'; }));
  show('rwd rears centre burnt, press 230/230', evenCar({ lr:[5.6,4.2,5.6], rr:[5.6,4.2,5.6] }, (f: any)=>{ f.vehicle.drive='rwd'; }));
  show('outer edges front hard cornering use track', evenCar({ lf:[5.3,5.0,3.9], rf:[5.2,4.9,3.8] }, (f: any)=>{ f.vehicle.use='track'; }));
  show('one front far lower evenly with excessive', evenCar({ rf:[3.0,3.1,3.0] }));
  show('rotated recently: rear saws', evenCar({ lr:[5.0,4.4,3.6], rr:[5.0,4.4,3.6], lf:[6.0,6.1,6.0], rf:[6.0,6.1,6.0] }, (f: any)=>{ f.tires.lr.feather=f.tires.rr.feather='catchesOutward'; f.rotations=[{ agoKm: 1000, moves:{ lf:'lr', lr:'lf', rf:'rr', rr:'rf' } }]; }));
  writeFileSync('/tmp/treads.txt', out.join('\n'));
}, 600000);

#import "paper.typ": *
#let c = json(bytes(sys.inputs.content))
#show: paper.with(c, "Assessment record", about: [#c.client · #dash(c.work) · visit on #c.visited · follow-up #dash(c.follow_up_on)])
#v(4pt)
#replaced(c)
#if c.reason != "" [#text(fill: soft)[Reason] \ #c.reason]
#flags(c)
#worse(c)
#if c.asked != "" [#text(size: 8.5pt)[#c.asked]]
#cares(c)
#if c.discomfort.len() > 0 [
  #v(2pt) #text(fill: soft)[Discomfort] \ #c.discomfort.join("; ")
]
#if c.note != "" [#tinted[#c.note]]
#lacks(c)
#if c.worse != none [#boxed[#c.worse]]
#since(c)
== Actions
#if c.actions.len() == 0 [Nothing: all that was looked at is as it should be.] else [
  #table(
    columns: (1fr, auto, auto, auto), align: (left, left, left, left),
    table.header([*What*], [*Who*], [*When*], [*State*]),
    ..c.actions.map(a => ([#action(a, who: false)#if a.resolves.len() > 0 [ #text(size: 8pt, fill: soft)[#a.resolves.join(", ")]]], a.who, a.when, (open: "to do", done: "done", later: "not today", stopped: "stopped").at(a.state))).flatten()
  )
]
== Causes and findings
#if said(c, "good").len() > 0 [Done well: #c.good.map(x => lower(x.at(0)) + x.slice(1)).join("; ").]
#causes(c)
#if c.strain.len() > 0 [
  == Strain minutes a day
  #figures(table(
    columns: (auto, auto, 1fr), align: (left, right, left),
    table.header([*Region*], [*Minutes*], [*Sum*]),
    ..c.strain.map(s => (s.label, [#calc.round(s.minutes) min], text(size: 8pt, s.sums.join(" \n ")))).flatten()
  ))
  #text(size: 8pt, fill: soft)[Hours a day × share of the time × degrees outside the band, 30° at the most, ÷ 30°. A way to rank what to do first; no forecast of injury.]
]
#if c.place != "" [== #c.place]
== Found, target, setting, left at
#settings(c.table, method: true)
#text(size: 8pt, fill: soft)[Target is the ideal; setting is what this equipment allows. ± is two standard deviations of the target. Under each “left at” is how it is known.]
#if c.standing != none [#v(3pt) #c.standing]
#if c.at("self_reported", default: ()).len() > 0 [
  #v(3pt) #text(size: 8.5pt)[The client's own word, not confirmed here: #c.self_reported.join(", ").]
]
#if c.estimated.len() > 0 [
  #v(3pt) #text(size: 8.5pt)[\~ rests on dimensions estimated, not measured: #c.estimated.join(", ").]
]
#if c.desk.len() > 0 [
  === Desk heights to come back to
  #for line in c.desk [ - #line ]
]
#for place in c.places [
  == #place.name: #lower(place.use)
  #for words in place.shortfalls [#boxed[#strong[Does not fit with this plan.] #words]]
  #for words in (place.actions + place.desk + place.moves) [ - #words ]
  #settings(place.table, method: true)
]
#if c.plan.added.len() > 0 [
  == #c.plan.label: what is added
  #table(
    columns: (1fr, auto, auto), align: (left, left, right),
    table.header([*What*], [*Price*], [*Takes away*]),
    ..c.plan.added.map(a => (
      [#a.label #text(size: 8pt, fill: soft)[#a.does#if a.temporary [, for a time: agree on a date to look again]]],
      a.price, figures(if a.removes != "" [−#a.removes]),
    )).flatten()
  )
  #for words in c.plan.cautions [#text(size: 8.5pt)[#words] \ ]
]
#if c.plan.moves.len() > 0 [
  === Between sitting and standing
  #for line in c.plan.moves [- #figures(line)
  ]
]
#if sys.inputs.figure != "" [
  == The figure
  #figure-of(c, "Side view of " + c.client + " seated and standing beside a staff; the numbers are in the table above.")
]
#if c.joints.len() > 0 [
  == Joints
  #figures(table(
    columns: (auto, 1fr, auto, auto, auto), align: (left, left, right, right, right),
    table.header([*Posture*], [*Joint*], [*Band*], [*Before*], [*Aimed at*]),
    ..c.joints.map(j => (j.posture, j.label, j.band, [#dash(j.found)#if j.found_off [ (off)]], [#dash(j.aim)#if j.aim_off [ (off)]])).flatten()
  ))
]
#if c.photos.len() > 0 [
  == Photographs
  #photographs(c)
]
#if c.body.len() > 0 [
  == Body measurements
  #figures(table(
    columns: (auto, auto, auto, 1fr), align: (left, right, left, left),
    table.header([*Dimension*], [*Value*], [], [*How*]),
    ..c.body.map(m => (m.label, m.value, if m.plus_minus != "" [± #m.plus_minus], text(size: 8pt, m.how))).flatten()
  ))
]
#if c.rhythm != none [
  == Rhythm
  #rhythm(c)
]
== Method
#for line in c.method [- #text(size: 8.5pt)[#line]
]
#if c.notes.len() > 0 [
  == Not judged
  #for n in c.notes [- #n
  ]
]
#if c.noted.len() > 0 [
  == Noted
  #text(size: 8.5pt)[#c.noted.join("; ").]
]
== Cautions
#cautions(c)
#signature(c)

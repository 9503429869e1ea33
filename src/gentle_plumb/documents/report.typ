#let c = json(bytes(sys.inputs.content))
#let ink = rgb("#20262B")
#let soft = rgb("#655F54")
#let hair = rgb("#CFC5B4")
#let figures(body) = text(font: "Plumb Figures", body)
#let workplace = c.kind == "workplace"
#let dash(s) = if s == "" or s == none { "–" } else { s }

#let settings(rows) = figures(table(
  columns: (auto, 1fr, auto, auto, auto, auto, 2fr),
  stroke: (x, y) => if y == 0 { (bottom: 0.8pt + ink) } else { (bottom: 0.4pt + hair) },
  inset: (x: 4pt, y: 4pt),
  align: (left, left, right, right, right, right, left),
  table.header([*Posture*], [*What*], [*Before*], [*Target*], [*After*], [*Still off*], [*Note*]),
  ..rows.map(r => (r.posture, r.label, r.before, r.target, r.after, r.left, text(size: 8pt, r.note))).flatten()
))

#set document(title: "Workplace assessment, " + c.client, author: c.practice)
#set text(font: "Hanken Grotesk", size: 9.5pt, fill: ink, lang: "en")
#set par(leading: 0.62em, justify: false)
#set page(
  paper: "a4",
  margin: (x: 20mm, top: 20mm, bottom: 22mm),
  footer: context {
    set text(size: 8pt, fill: soft)
    line(length: 100%, stroke: 0.4pt + hair)
    v(2pt)
    grid(
      columns: (1fr, auto),
      [#c.client · #c.visited · version #c.version#if c.signed_by == none [ · draft, not signed]],
      [#counter(page).display("1 of 1", both: true)],
    )
  },
)
#show heading.where(level: 1): it => text(size: 20pt, weight: 600, it.body)
#show heading.where(level: 2): it => { v(8pt); text(size: 12pt, weight: 600, it.body); v(2pt) }

#text(fill: soft)[#c.practice]
#v(2pt)
= Workplace assessment
#v(2pt)
#grid(
  columns: (1fr, 1fr), row-gutter: 9pt,
  [#text(fill: soft)[Client] \ #strong(c.client)], [#if c.work != "" or not workplace [#text(fill: soft)[Work] \ #dash(c.work)]],
  [#text(fill: soft)[Visit] \ #c.visited], [#text(fill: soft)[Follow-up] \ #dash(c.follow_up_on)],
)
#if c.at("reason", default: "") != "" [
  #v(4pt)
  #text(fill: soft)[Reason] \ #c.reason
]
#if c.kind == "workplace" [
  #v(4pt)
  #text(fill: soft)[The workplace's copy. What concerns the client's health is left out.]
]
#for words in c.at("limits", default: ()) [
  #block(stroke: 1pt + ink, inset: 8pt, width: 100%)[#strong(words)]
]
#for sign in c.at("warning", default: ()) [
  #block(stroke: 1pt + ink, inset: 8pt, width: 100%)[#strong[#sign.urgency.] #sign.label. #strong[Done:] #dash(sign.done)]
]
#for care in c.at("cares", default: ()) [
  #block(stroke: (left: 2pt + ink), inset: (left: 8pt, y: 3pt), width: 100%)[#strong(care.label). #if care.at("cleared", default: none) != none [Cleared: #care.cleared.] else [#care.limit Ask: #care.ask.#for one in care.at("lifted", default: ()) [ #one]]#if care.note != none [ #care.note]]
]
#if c.at("felt", default: ()).len() > 0 [
  #v(2pt) #text(fill: soft)[Discomfort] \ #c.felt.join("; ")
]
#if c.at("note", default: "") != "" [
  #block(fill: rgb("#F5F0E6"), inset: 8pt, width: 100%)[#c.note]
]

#if workplace [
  == What is asked for
  #if c.requests.len() == 0 [Nothing beside the settings below.] else [
    #for r in c.requests [- #r.title#if r.do != "" [. #strong(r.do)]
    ]
  ]
] else [
#let done(a) = [#if a.state == "done" [ *Done.*] else if a.state == "later" and a.at("remark", default: "") == "" [ _Not today._]#if a.at("remark", default: "") != "" [ _#(a.remark)_]]
#for words in c.at("lacks", default: ()) [
  #block(stroke: 1pt + ink, inset: 8pt, width: 100%)[#strong[Does not fit with this plan.] #words]
]
#if c.at("worse", default: none) != none [#block(stroke: 1pt + ink, inset: 8pt, width: 100%)[#c.worse]]
== What to do
#let open = c.actions.filter(a => a.heading != "Refer")
#if open.len() == 0 [Nothing: all that was looked at is as it should be.] else [
  #for a in open [
    - #if a.posture == "standing" [_Standing._ ]#a.text#done(a)#if a.who != "Practitioner" [ #text(fill: soft)[#a.who, #a.when#if a.price != "" [, price: #a.price].]]#if a.temporary [ #text(fill: soft)[Temporary: agree on a date to look again.]]
  ]
]
#if c.at("desk", default: ()).len() > 0 [
  == Desk heights to come back to
  #for line in c.desk [ - #line ]
]
== Why
#if c.causes.len() == 0 [Nothing measured lies outside its band.] else [
  #for cause in c.causes [
    #block(breakable: false)[
      *#cause.title*#if cause.minutes != none [ #text(fill: soft)[#cause.minutes min a day]]#if cause.explains.len() > 0 [#text(fill: soft)[. May explain: #cause.explains.join("; ").]]
      #for f in cause.findings [
        - #text(size: 8.5pt)[#if f.posture == "standing" [_Standing._ ]#f.cause#if f.left != "" [ _Limit: #{f.left}._]#if f.evidence.len() > 0 [ #text(fill: soft)[#f.evidence.join("; ")]]]
      ]
    ]
  ]
]
#if c.unexplained.len() > 0 [Nothing found here explains: #c.unexplained.join("; ").]
]

#if c.at("strain", default: ()).len() > 0 [
  == Strain minutes a day
  #figures(table(
    columns: (auto, auto, 1fr),
    stroke: (x, y) => (bottom: 0.4pt + hair), inset: (x: 4pt, y: 4pt), align: (left, right, left),
    ..c.strain.map(s => (s.label, [#calc.round(s.minutes) min], text(size: 8pt, s.sums.join(" \n ")))).flatten()
  ))
  #text(size: 8pt, fill: soft)[Hours a day × share of the time × degrees outside the band, 30° at the most, ÷ 30°. A way to rank what to do first; no forecast of injury.]
]

#if c.at("place", default: "") != "" [== #c.place]
== Before, target, after
#settings(c.table)
#if c.at("standing", default: none) != none [#v(3pt) #c.standing]
#if c.at("estimated", default: ()).len() > 0 [
  #v(3pt) #text(size: 8.5pt)[\~ rests on dimensions estimated, not measured: #c.estimated.join(", ").]
]

#for place in c.at("places", default: ()) [
  == #place.name: #lower(place.use)
  #for words in place.lacks [
    #block(stroke: 1pt + ink, inset: 8pt, width: 100%)[#strong[Does not fit with this plan.] #words]
  ]
  #for words in (place.actions + place.desk + place.moves) [ - #words ]
  #settings(place.table)
]

#let plan = if workplace {
  (label: "What is added", added: c.added, cautions: (), moves: c.moves, chosen: c.chosen)
} else { c.at("plan", default: none) }
#if plan != none and plan.added.len() > 0 [
  == #if workplace [#plan.label] else [#plan.label: what is added]
  #table(
    columns: (1fr, auto, auto),
    stroke: (x, y) => (bottom: 0.4pt + hair), inset: (x: 4pt, y: 4pt), align: (left, left, right),
    ..plan.added.map(a => (
      [#a.label #text(size: 8pt, fill: soft)[#a.does#if a.temporary [, temporary: agree on a date to look again]]],
      a.price, figures(if a.at("removes", default: "") != "" [−#a.removes]),
    )).flatten()
  )
  #for words in plan.cautions [#text(size: 8.5pt)[#words] \ ]
]
#if plan != none and plan.moves.len() > 0 [
  == Between sitting and standing
  #for line in plan.moves [- #figures(line)
  ]
]
#if plan != none and plan.chosen.len() > 0 [
  #v(3pt) #text(size: 8.5pt)[Chosen here: #plan.chosen.join("; ").]
]

#if sys.inputs.figure != "" [
#block(breakable: false)[
  == The figure
  #image(
    bytes(sys.inputs.figure), format: "svg", width: 100%,
    alt: "Side view of " + (if workplace { "the workstation" } else { c.client + " seated and standing" }) + " beside a staff; the numbers are in the table above.",
  )
  #text(size: 8pt, fill: soft)[Side view to scale, #if c.scene_shows == "left" [as left] else [as aimed at]. Flags give the target; thick ticks the height #if c.scene_shows == "left" [as left] else [as found].]
]
]

#if c.joints.len() > 0 [
== Joints
#figures(table(
  columns: (auto, 1fr, auto, auto, auto),
  stroke: (x, y) => if y == 0 { (bottom: 0.8pt + ink) } else { (bottom: 0.4pt + hair) },
  inset: (x: 4pt, y: 4pt),
  align: (left, left, right, right, right),
  table.header([*Posture*], [*Joint*], [*Band*], [*Before*], [*Aimed at*]),
  ..c.joints.map(j => (
    j.posture, j.label, j.band,
    [#dash(j.found)#if j.found_off [ (off)]], [#dash(j.aim)#if j.aim_off [ (off)]],
  )).flatten()
))
]

#let measured = c.at("body", default: ())
#if measured.len() > 0 [
  == Body measurements
  #figures(table(
    columns: (auto, auto, auto, 1fr),
    stroke: (x, y) => (bottom: 0.4pt + hair), inset: (x: 4pt, y: 3pt), align: (left, right, left, left),
    ..measured.map(m => (m.label, m.value, if m.plus_minus != "" [± #m.plus_minus], text(size: 8pt, m.how))).flatten()
  ))
]

#if c.rhythm != none [
  == Rhythm
  #strong(c.rhythm.label). #c.rhythm.says
  Over #c.rhythm.hours h at the desk: #calc.round(c.rhythm.sit) min sitting, #if c.rhythm.stand > 0 [#calc.round(c.rhythm.stand) min standing, ]#calc.round(c.rhythm.move) min moving; #c.rhythm.changes changes; never longer than #calc.round(c.rhythm.longest_sit) min seated#if c.rhythm.longest_stand > 0 [ and #calc.round(c.rhythm.longest_stand) min standing] at a stretch.
]

#let day = c.at("day", default: none)
#if day != none [
  #block(breakable: false)[
    #if sys.inputs.day != "" [
      #image(
        bytes(sys.inputs.day), format: "svg", width: 100%,
        alt: "The day from " + day.start + " to " + day.end + ": sitting low, standing high, moving between.",
      )
    ]
    #for line in day.weeks [- #figures(line)
    ]
    #figures(day.eyes)
    #for line in day.tips [- #figures(line)
    ]
  ]
]

#let moves = c.at("movements", default: ())
#if moves.len() > 0 [
  #block(breakable: false)[
    == Movements
    #for line in c.movement_rules [#line ]
  ]
  #let drawn = json(bytes(sys.inputs.movements))
  #for (index, m) in moves.enumerate() [
    #block(breakable: false, width: 100%)[
      #grid(columns: (48mm, 1fr), gutter: 4mm,
        grid(columns: drawn.at(index).map(_ => 1fr), gutter: 1mm,
          ..drawn.at(index).enumerate().map(((at, svg)) => align(center)[
            #image(bytes(svg), format: "svg", width: 100%, alt: m.label + ": " + m.says.at(at))
            #text(size: 8pt, fill: soft)[#m.says.at(at)]
          ])),
        [
          #strong(m.label). #figures[#m.dose.] #m.start.
          #for step in m.steps [+ #step
          ]
          #text(size: 8.5pt)[Felt: #m.felt. Not #m.never.]
        ])
    ]
  ]
]

#if c.at("notes", default: ()).len() > 0 [
  == Not judged
  #for n in c.notes [- #n
  ]
]

#if c.at("noted", default: ()).len() > 0 [
  == Noted
  #text(size: 8.5pt)[#c.noted.join("; ").]
]

== Cautions
#for n in c.cautions [- #n
]
#if c.local_wording != "" [- #c.local_wording]

#v(14pt)
#block(breakable: false)[
  #if c.signed_by != none [
    #grid(
      columns: (1fr, 1fr),
      [#text(fill: soft)[Signed] \ #strong(c.signed_by) \ #c.signed_title],
      [#text(fill: soft)[On] \ #c.at("signed_on", default: c.signed_at) \ #text(fill: soft)[version #c.version, frozen]],
    )
  ] else [
    #text(fill: soft)[Draft. Not signed.]
  ]
]

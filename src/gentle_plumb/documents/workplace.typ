#import "paper.typ": *
#let c = json(bytes(sys.inputs.content))
#show: paper.with(c, "Workplace adjustments", about: [For #c.client · visit on #c.visited#if c.work != "" [ · #c.work]#if c.follow_up_on != "" [ · we look again on #c.follow_up_on]])
#v(2pt)
#text(fill: soft)[The workplace's copy: furniture, room and hours. What concerns the person's health is left out.]
#for words in c.limits [#boxed[#strong(words)]]
== What is asked for
#if c.requests.len() == 0 [Nothing beside the settings below.] else if said(c.requests.at(0), "who", none-is: "") == "" [
  #for r in c.requests [- #r.title#if r.do != "" [. #strong(r.do)]
  ]
] else [
  #requested(c.requests)
  #block(breakable: false)[
    #v(6pt)
    #grid(columns: (auto, 1fr, auto, 34mm), column-gutter: 6pt, align: bottom,
      [Done by, signature], line(length: 100%, stroke: 0.5pt + soft), [Date], line(length: 100%, stroke: 0.5pt + soft))
  ]
]
#if c.added.len() > 0 [
  == What is added
  #table(
    columns: (1fr, auto), align: (left, left),
    table.header([*What*], [*Price*]),
    ..c.added.map(a => ([#a.label #text(size: 8pt, fill: soft)[#a.does#if a.temporary [, for a time: agree on a date to look again]]], a.price)).flatten()
  )
]
== Found, target, setting, left at
#settings(c.table)
#for place in c.places [
  == #place.name: #lower(place.use)
  #for words in (place.desk + place.moves) [ - #words ]
  #settings(place.table)
]
#if c.moves.len() > 0 [
  == Between sitting and standing
  #for line in c.moves [- #figures(line)
  ]
]
#if c.chosen.len() > 0 [#v(3pt) #text(size: 8.5pt)[Chosen here: #c.chosen.join("; ").]]
#if sys.inputs.figure != "" [
  == The figure
  #figure-of(c, "Side view of the workstation beside a staff; the numbers are in the table above.")
]
#if c.joints.len() > 0 [
  == Joints
  #figures(table(
    columns: (auto, 1fr, auto, auto, auto), align: (left, left, right, right, right),
    table.header([*Posture*], [*Joint*], [*Band*], [*Before*], [*Aimed at*]),
    ..c.joints.map(j => (j.posture, j.label, j.band, [#dash(j.found)#if j.found_off [ (off)]], [#dash(j.aim)#if j.aim_off [ (off)]])).flatten()
  ))
]
#if c.rhythm != none [
  == Hours
  #rhythm(c)
]
#replaced(c)
#block(breakable: false)[
  == Please note
  #cautions(c)
  #if c.call != "" [- Questions: #c.call]
]
#signature(c)

#import "paper.typ": *
#let c = json(bytes(sys.inputs.content))
#show: paper.with(c, said(c, "title", none-is: words.referral))
#v(6pt)
#if c.to != "" [#words.to #strong(c.to)]
#grid(columns: (1fr, 1fr), row-gutter: 9pt,
  [#text(fill: soft)[#words.client] \ #strong(c.client)#if said(c, "birth_year", none-is: "") != "" [, #fill-in(words.born, year: c.birth_year)]], [#text(fill: soft)[#words.seen_on] \ #c.visited],
  [#text(fill: soft)[#words.work] \ #dash(c.work)], [#text(fill: soft)[#words.how_soon] \ #strong(c.urgency)],
)
#v(8pt)
#words.sign
#boxed[#strong(c.sign)]
#words.no_diagnosis
#let reported = said(c, "reported")
#if reported.len() > 0 [
  == #words.reported
  #for line in reported [- #line
  ]
] else if c.discomfort.len() > 0 [
  == #words.reported
  #for line in c.discomfort [- #line
  ]
]
#if said(c, "seen").len() > 0 [
  == #words.seen
  #for line in c.seen [- #line
  ]
]
#if said(c, "done", none-is: "") != "" [
  == #words.done
  #c.done
]
#if c.informed != "" [
  == #words.informed
  #c.informed
]
#if said(c, "limits").len() > 0 [
  == #words.limits
  #for line in c.limits [- #line
  ]
] else if c.precautions.len() > 0 [
  == #words.conditions
  #cares(c)
]
#if said(c, "question", none-is: "") != "" [
  == #words.question
  #block(breakable: false)[
    #strong(c.question)
    #v(4pt)
    #for answer in c.answers [#box(width: 9pt, height: 9pt, stroke: 0.8pt + ink) #h(3pt) #answer #h(14pt)]
    #v(10pt)
    #grid(columns: (auto, 1fr), column-gutter: 6pt, row-gutter: 14pt, align: bottom,
      ..c.lines.map(line-of => ([#line-of], line(length: 100%, stroke: 0.5pt + soft))).flatten(),
      [#words.from_day], line(length: 100%, stroke: 0.5pt + soft),
      [#words.name_signature_date], line(length: 100%, stroke: 0.5pt + soft),
    )
    #text(size: 8.5pt, fill: soft)[#words.return#if c.call != "" [ #c.call]]
  ]
]
#if c.call_back != "" [#fill-in(words.call_back, day: c.call_back)]
#v(10pt)
#if c.by != "" [#c.by \ ]
#c.practice#if c.call != "" [ · #c.call]
#if c.local_wording != "" [#v(6pt) #text(size: 8.5pt)[#c.local_wording]]

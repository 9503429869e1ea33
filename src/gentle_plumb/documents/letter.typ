#import "paper.typ": *
#let c = json(bytes(sys.inputs.content))
#show: paper.with(c, said(c, "title", none-is: "Referral"))
#v(6pt)
#if c.to != "" [To: #strong(c.to)]
#grid(columns: (1fr, 1fr), row-gutter: 9pt,
  [#text(fill: soft)[Client] \ #strong(c.client)#if said(c, "birth_year", none-is: "") != "" [, born #c.birth_year]], [#text(fill: soft)[Seen on] \ #c.visited],
  [#text(fill: soft)[Work] \ #dash(c.work)], [#text(fill: soft)[How soon] \ #strong(c.urgency)],
)
#v(8pt)
At an assessment of the workplace, the client answered yes to this:
#boxed[#strong(c.sign)]
This is not a diagnosis.
#let reported = said(c, "reported")
#if reported.len() > 0 [
  == What the client reported
  #for line in reported [- #line
  ]
] else if c.discomfort.len() > 0 [
  == What the client reported
  #for line in c.discomfort [- #line
  ]
]
#if said(c, "seen").len() > 0 [
  == What we saw
  #for line in c.seen [- #line
  ]
]
#if said(c, "done", none-is: "") != "" [
  == What was done at the workplace
  #c.done
]
#if c.informed != "" [
  == What the client was told
  #c.informed
]
#if said(c, "limits").len() > 0 [
  == What we keep to until you answer
  #for line in c.limits [- #line
  ]
] else if c.precautions.len() > 0 [
  == Known conditions
  #cares(c)
]
#if said(c, "question", none-is: "") != "" [
  == Our question
  #block(breakable: false)[
    #strong(c.question)
    #v(4pt)
    #for answer in c.answers [#box(width: 9pt, height: 9pt, stroke: 0.8pt + ink) #h(3pt) #answer #h(14pt)]
    #v(10pt)
    #grid(columns: (auto, 1fr), column-gutter: 6pt, row-gutter: 14pt, align: bottom,
      ..c.lines.map(line-of => ([#line-of], line(length: 100%, stroke: 0.5pt + soft))).flatten(),
      [From which day], line(length: 100%, stroke: 0.5pt + soft),
      [Name, signature, date], line(length: 100%, stroke: 0.5pt + soft),
    )
    #text(size: 8.5pt, fill: soft)[Please return this page to us#if c.call != "" [: #c.call]. Your answer is recorded with your name and its date.]
  ]
]
#if c.call_back != "" [We call the client back on #c.call_back.]
#v(10pt)
#if c.by != "" [#c.by \ ]
#c.practice#if c.call != "" [ · #c.call]
#if c.local_wording != "" [#v(6pt) #text(size: 8.5pt)[#c.local_wording]]

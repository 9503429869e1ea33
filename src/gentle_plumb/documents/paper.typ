// What every paper has: page, head, tables, signature, files. Lengths and words come finished in the content.
#let ink = rgb("#20262B")
#let soft = rgb("#655F54")
#let hair = rgb("#CFC5B4")
#let ground = rgb("#F5F0E6")
#let figures(body) = text(font: "Plumb Figures", body)
#let dash(s) = if s == "" or s == none { "–" } else { s }
#let said(c, name, none-is: ()) = c.at(name, default: none-is)

#let paper(c, title, about: none, body) = {
  set document(title: title + ", " + c.client, author: c.practice)
  set text(font: "Hanken Grotesk", size: 9.5pt, fill: ink, lang: "en")
  set par(leading: 0.62em, justify: false)
  set page(
    paper: "a4",
    margin: (x: 20mm, top: 18mm, bottom: 22mm),
    footer: context {
      set text(size: 8pt, fill: soft)
      line(length: 100%, stroke: 0.4pt + hair)
      v(2pt)
      grid(
        columns: (1fr, auto),
        [#c.client · #c.visited#if "version" in c [ · version #c.version]#if c.signed_by == none [ · draft, not signed]#if said(c, "sha256", none-is: none) != none [ · #c.sha256.slice(0, 12)]],
        [#counter(page).display("1 of 1", both: true)],
      )
    },
  )
  // a heading stays with what follows it, and is never alone at the foot of a page
  show heading: set block(sticky: true)
  show heading.where(level: 1): it => text(size: 20pt, weight: 600, it.body)
  show heading.where(level: 2): it => block(above: 14pt, below: 6pt, sticky: true, text(size: 12.5pt, weight: 600, it.body))
  show heading.where(level: 3): it => block(above: 9pt, below: 4pt, sticky: true, text(size: 10pt, weight: 600, it.body))
  show table.cell: set block(breakable: false)
  set table(
    stroke: (x, y) => if y == 0 { (bottom: 0.8pt + ink) } else { (bottom: 0.4pt + hair) },
    inset: (x: 4pt, y: 4pt),
  )
  grid(columns: (1fr, auto),
    [#strong(c.practice)],
    align(right, text(size: 8.5pt, fill: soft, c.letterhead.join(linebreak()))),
  )
  v(6pt)
  [= #title]
  if about != none [#v(1pt) #about]
  body
  for file in json(bytes(sys.inputs.attached)) {
    pdf.attach(file.name, bytes(file.text), relationship: "supplement", mime-type: file.media, description: file.says)
  }
}

#let boxed(body) = block(stroke: 1pt + ink, inset: 8pt, width: 100%, breakable: false, body)
#let barred(body) = block(stroke: (left: 2pt + ink), inset: (left: 8pt, y: 3pt), width: 100%, breakable: false, body)
#let tinted(body) = block(fill: ground, inset: 8pt, width: 100%, breakable: false, body)

#let flags(c) = for sign in c.warning [
  #boxed[#strong[#sign.urgency.] #sign.label. #if sign.done != "" [#sign.done#if sign.call_back != "" [ We call back on #sign.call_back.]] else [#strong[Not answered yet.]]]
]
#let cares(c) = for care in c.precautions [
  #barred[#strong(care.label). #if care.cleared != none [Cleared: #care.cleared.] else [#care.limit Ask: #care.ask.#for one in care.limits_cleared [ #one]]#if care.note != none [ #care.note]]
]
#let lacks(c) = {
  for words in c.shortfalls [#boxed[#strong[Does not fit with this plan.] #words]]
}
// A number with what it is: left at, as found, still to set. Versions signed before that was said have a star.
#let said-of(l) = said(l, "seated_is", none-is: "") + said(l, "standing_is", none-is: "") != ""
#let number(text-of, is) = [#dash(text-of)#if is != "" [ #text(size: 7.5pt, fill: soft)[#is]]]
#let numbers(lines) = figures(table(
  columns: (1fr, auto, auto),
  align: (left, right, right),
  table.header([], [*Sitting*], [*Standing*]),
  ..lines.map(l => ([#l.label#if not l.sure and not said-of(l) [ \*]], number(l.seated, said(l, "seated_is", none-is: "")), number(l.standing, said(l, "standing_is", none-is: "")))).flatten()
))
// Target is the ideal, setting what the equipment allows of it. Older versions hold the setting as their target.
#let settings(rows, method: false) = {
  let told = rows.any(r => said(r, "setting", none-is: "") != "")
  figures(table(
    columns: (auto, 1fr, auto, auto) + if told { (auto,) } else { () } + (auto, auto, 1.6fr),
    align: (left, left, right, right) + if told { (right,) } else { () } + (right, right, left),
    table.header([*Posture*], [*What*], [*Found*], [*Target*], ..if told { ([*Setting*],) } else { () }, [*Left at*], [*Still off*], [*Note*]),
    ..rows.map(r => (
      r.posture, r.label, r.before,
      if method and r.plus_minus != "" [#r.target \ #text(size: 7.5pt, fill: soft)[± #r.plus_minus]] else { r.target },
      ..if told { (said(r, "setting", none-is: ""),) } else { () },
      if method and r.how != "" [#r.after \ #text(size: 7.5pt, fill: soft)[#r.how]] else { r.after },
      r.left, text(size: 8pt, r.note),
    )).flatten()
  ))
}
#let figure-of(c, alt) = if sys.inputs.figure != "" [
  #block(breakable: false)[
    #image(bytes(sys.inputs.figure), format: "svg", width: 100%, alt: alt)
    #text(size: 8pt, fill: soft)[Side view to scale, #if c.scene_shows == "left" [as left. Flags give the height as left and what is still to change; thick ticks the setting that was worked out.] else [as worked out. Flags give the setting and what has to change; thick ticks the height as found.]]
  ]
]
#let photographs(c) = {
  let held = json(bytes(sys.inputs.pictures))
  let shown = c.photos.filter(p => p.id in held)
  if shown.len() > 0 {
    block(breakable: false, grid(columns: shown.slice(0, calc.min(2, shown.len())).map(_ => 1fr), gutter: 6mm,
      ..shown.map(p => [
        #image(bytes(held.at(p.id)), format: "svg", width: 100%, alt: p.caption)
        #text(size: 8.5pt)[#strong(p.caption). #p.readings.join("; ")]
      ])))
  }
}
#let causes(c, evidence: true) = {
  if c.causes.len() == 0 [Nothing measured lies outside its band.]
  for cause in c.causes [
    #block(breakable: false)[
      #if said(cause, "words", none-is: "") != "" [*#cause.words* #text(size: 8.5pt, fill: soft)[Computed: #cause.title]] else [*#cause.title*]#if evidence and said(cause, "left_out", none-is: false) [ #text(size: 8.5pt, fill: soft)[(left out of the client's paper)]]#if cause.minutes != none and evidence [ #text(fill: soft)[#cause.minutes min a day]]#if cause.explains.len() > 0 [#text(fill: soft)[. May explain: #cause.explains.join("; ").]]
      #for f in cause.findings [
        - #text(size: 8.5pt)[#if f.posture == "standing" [_Standing._ ]#f.cause#if not said(f, "confirmed", none-is: true) [ #text(fill: soft)[(not confirmed)]]#if evidence and f.left != "" [ _Limit: #{f.left}._]#if evidence and f.evidence.len() > 0 [ #text(fill: soft)[#f.evidence.join("; ")]]]
      ]
    ]
  ]
  if c.unexplained.len() > 0 [Nothing found here explains: #c.unexplained.join("; ").]
}
#let action(a, who: true) = [#if a.posture == "standing" [_Standing._ ]#if said(a, "words", none-is: "") != "" [#a.words #text(size: 8.5pt, fill: soft)[Computed: #a.text]] else [#a.text]#if a.remark != "" [ _#(a.remark)_] else if a.state == "later" and not said(a, "told", none-is: false) [ _Not today._]#if who and a.who != "Practitioner" and not said(a, "told", none-is: false) [ #text(fill: soft)[#a.who, #a.when#if a.price != "" [, price: #a.price].]]#if a.temporary [ #text(fill: soft)[For a time: agree on a date to look again.]]]
// What is asked of the workplace, a line each with a box to tick.
#let tick = box(width: 9pt, height: 9pt, stroke: 0.8pt + ink)
#let requested(requests) = table(
  columns: (auto, 1fr, auto, auto, auto, auto),
  align: (center, left, left, left, left, left),
  table.header([*Done*], [*What*], [*How many*], [*By when*], [*Price*], [*Who*]),
  ..requests.map(r => (
    tick,
    [#if said(r, "safety", none-is: false) [*Make safe.* ]#strong(r.title)#if r.do != "" [. #r.do]#if said(r, "covers", none-is: "") != "" [ #text(size: 8.5pt)[#figures(r.covers).]]],
    dash(said(r, "count", none-is: "")), dash(said(r, "by", none-is: "")), dash(said(r, "price", none-is: "")), said(r, "who", none-is: ""),
  )).flatten()
)
#let rhythm(c) = if c.rhythm != none [
  #strong(c.rhythm.label). #c.rhythm.says
  Over #c.rhythm.hours h at the desk: #calc.round(c.rhythm.sit) min sitting, #if c.rhythm.stand > 0 [#calc.round(c.rhythm.stand) min standing, ]#calc.round(c.rhythm.move) min #if said(c.rhythm, "walks", none-is: true) [moving; never longer than #calc.round(c.rhythm.longest_sit) min seated#if c.rhythm.longest_stand > 0 [ and #calc.round(c.rhythm.longest_stand) min standing] at a stretch.] else [of weight shifts, at least every #calc.round(c.rhythm.longest_sit) min.]
]
#let replaced(c) = if c.replaces.len() > 0 [
  #barred[#strong(c.replaces.first())#if c.replaces.len() > 1 [ What has changed:
    #for line in c.replaces.slice(1) [- #line
    ]]]
]
#let cautions(c) = [
  #for n in c.cautions [- #n
  ]
  #if c.local_wording != "" [- #c.local_wording]
]
#let signature(c) = [
  #v(12pt)
  #block(breakable: false)[
    #if c.signed_by != none [
      #grid(columns: (1fr, 1fr), row-gutter: 5pt,
        [#text(fill: soft)[Signed] \ #strong(c.signed_by) \ #c.signed_title#if said(c, "signed_registration", none-is: none) not in (none, "") [ · registration #c.signed_registration]],
        [#text(fill: soft)[On] \ #dash(said(c, "signed_on", none-is: c.signed_at)) \ #text(fill: soft)[#if "version" in c [version #c.version, frozen]]],
      )
      #if said(c, "sha256", none-is: none) != none [#text(size: 7.5pt, fill: soft)[SHA-256 of what was signed: #figures(c.sha256)]]
    ] else [
      #text(fill: soft)[Draft. Not signed.]
    ]
  ]
]
// What hurts more than at the visit before stands on the first page.
#let worse(c) = {
  let s = said(c, "since", none-is: none)
  if s != none and said(s, "worse").len() > 0 [#boxed[#strong[Worse than on #s.on.] #s.worse.join("; ").]]
}
#let since(c) = {
  let s = said(c, "since", none-is: none)
  if s != none [
    == Since #s.on
    #if s.discomfort.len() > 0 [#s.discomfort.join("; "). ]
    #if s.resolved.len() > 0 [- Gone: #s.resolved.join("; ").]
    #if s.unchanged.len() > 0 [- Still there: #s.unchanged.join("; ").]
    #if s.new.len() > 0 [- New: #s.new.join("; ").]
    #if s.not_assessed.len() > 0 [- Not looked at again: #s.not_assessed.join("; ").]
    #for line in s.drift [- #line
    ]
    #for line in s.temporary [- For a time only: #line
    ]
  ]
}

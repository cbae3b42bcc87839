<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<style>
@page { margin: 40px 48px 56px }
body { font: 9.5pt/1.35 text; color: #1b1f22; margin: 0 }
.other { font-family: "DejaVu Sans" }
h1 { font: bold 21pt figures; margin: 0 }
h2 { font: bold 13pt figures; margin: 16px 0 4px; border-bottom: 1.5px solid #1b1f22; page-break-after: avoid }
h3 { font: bold 10pt text; margin: 0 }
p { margin: 1px 0 }
.soft { color: #59636a; font-size: 8pt }
.by { float: right; text-align: right; color: #59636a; font-size: 8.5pt }
.first { border: 1.5px solid #9c1f17; padding: 5px 8px; margin: 6px 0 0 }
.first.quiet { border-color: #cfcabd }
.first b { color: #9c1f17 }
table { width: 100%; border-collapse: collapse }
td, th { text-align: left; vertical-align: top; padding: 3px 6px 3px 0; border-bottom: 0.5px solid #cfcabd; font-weight: normal }
th { font: bold 8.5pt figures; color: #59636a }
.state { width: 12px; padding: 3px 8px 3px 0 }
.state div { width: 10px; height: 14px; margin-top: 4px; background: #cfcabd }
.answered .state div, .overridden .state div { background: #1b1f22 }
.stopped .state div { background: #9c1f17; width: 5px }
.asking .state div { background: #c04408 }
.not_on_job .state div { height: 2px; margin-top: 10px }
.stopped .said { color: #9c1f17; font-weight: bold }
.stop { color: #9c1f17 }
.watch { color: #6e4d00 }
.clear { color: #1f5a3c }
.sign { display: inline-block; width: 230px; margin-right: 24px }
.sign img { width: 210px; border-bottom: 1px solid #1b1f22 }
.mono { font: 7pt mono }
</style>
</head>
<body>
<p class="by">{!! $t($record->company) !!}<br>{{ $when($record->madeAt) }}</p>
<h1>{!! $t("$record->machine, $record->site") !!}</h1>
<p>{!! $t(implode(' · ', array_filter([$record->summary, $record->model, $record->serial]))) !!}</p>
<p>{!! $t(implode(', ', array_filter([$record->job, $record->address]))) !!}</p>
@if ($record->differs !== [])
<div class="first"><b>Not as it was written.</b>@foreach ($record->differs as $fault) <p>{!! $t($fault) !!}</p>@endforeach</div>
@endif
@foreach ($record->overrides as $one)
<p class="first"><b>Lead override, {{ $one->name }}:</b> {!! $t($one->reason) !!} ({!! $t($one->who) !!}, {{ $when($one->at) }})</p>
@endforeach
@if ($record->notes !== [])
<div class="first quiet">@foreach ($record->notes as $note)<p>{!! $t($note) !!}</p>@endforeach</div>
@endif
@if ($record->signOff->addendum > 0)
<p class="first quiet">Addendum: {{ $record->signOff->addendum }} {{ $record->signOff->addendum === 1 ? 'entry was' : 'entries were' }} written after entry {{ $record->signOff->signedThrough }}, the last signature.</p>
@endif
<h2>Twelve answers</h2>
<table>
@foreach ($record->answers as $one)
<tr class="{{ $one->state }}"><td class="state"><div></div></td><td style="width:36%"><h3>{{ $one->question }}</h3></td><td class="said">{!! $t($one->sentence) !!}@foreach ($one->notes as $note)<br><span class="soft">{!! $t($note) !!}</span>@endforeach</td></tr>
@endforeach
</table>
@if ($record->asLeft !== [])
<h2>As left</h2>
<table>
@foreach ($record->asLeft as $matter)
<tr><td style="width:26%"><h3>{{ $matter->title }}</h3></td><td>@foreach ($matter->rows as $row)<span>{!! $t("$row->label: $row->value") !!}</span>@if (! $loop->last) &nbsp;·&nbsp; @endif @endforeach</td></tr>
@endforeach
</table>
@endif
<h2>Signed</h2>
@forelse ($record->signOff->signatures as $one)
<div class="sign"><img src="{{ $svg($signature($one->strokes)) }}"><p>{!! $t($one->name) !!}, {{ $role($one->role) }}</p><p class="soft">{{ $when($one->when) }}, entry {{ $one->at }}</p></div>
@empty
<p>Not signed yet.</p>
@endforelse
@if ($record->partsOut !== [] || $record->items !== [] || $record->putBack !== [])
<h2>Out of service, open items, put-back list</h2>
<table>
@foreach ($record->partsOut as $part)
<tr><td>{!! $t($part->what) !!} out of service</td><td>{!! $t($part->why) !!} Wire: {!! $t($part->wire) !!}. {!! $t($part->who) !!}</td></tr>
@endforeach
@foreach ($record->items as $item)
<tr><td>{!! $t($item->what) !!}</td><td>@if ($item->done !== '') Done: {!! $t($item->done) !!} @elseif ($item->owner !== '') {!! $t($item->owner) !!}, {{ $item->due }} @else No owner yet @endif</td></tr>
@endforeach
@foreach ($record->putBack as $out)
<tr><td>{!! $t($out->what) !!}</td><td>@if ($out->closed) {!! $t($out->word === '' ? 'Put back' : $out->word) !!} @elseif ($out->left !== '') Left as is: {!! $t($out->left) !!} ({!! $t($out->owner) !!}, {{ $out->due }}) @else <span class="stop">Not put back</span> @endif</td></tr>
@endforeach
</table>
@endif
@if ($record->instruments !== [])
<h2>Instruments</h2>
<table>
<tr><th>Instrument</th><th>Kind</th><th>Serial</th><th>Accuracy</th><th>Calibration due</th><th>Readings</th></tr>
@foreach ($record->instruments as $tool)
<tr><td>{!! $t($tool->name) !!}</td><td>{!! $t($tool->kind) !!}</td><td>{!! $t($tool->serial) !!}</td><td>{!! $t($tool->accuracy) !!}</td><td class="{{ $tool->overdue ? 'stop' : '' }}">{{ $tool->due }}{{ $tool->overdue ? ', overdue' : '' }}</td><td>{{ $tool->readings }}</td></tr>
@endforeach
</table>
@endif
<h2>Proof</h2>
<p>Every entry is chained to the one before it. The last digest is at the foot of every page; the exported file and the digest together show whether anything was changed.</p>
<p class="mono">record {{ $record->recordId }}<br>key {{ $record->fingerprint }} of {!! $t($record->company) !!}<br>digest {{ $record->digest }}</p>
</body>
</html>

<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<style>
@page { margin: 22px 26px 40px }
body { font: 10pt/1.3 text; color: #1b1f22; margin: 0 }
.other { font-family: "DejaVu Sans" }
.bar { background: #9c1f17; color: #fff; padding: 6px 10px; font: bold 20pt figures }
h1 { font: bold 17pt figures; margin: 8px 0 2px }
dt { font: bold 9pt figures; color: #59636a; margin-top: 6px }
dd { margin: 0; font-size: 11pt }
.soft { color: #59636a; font-size: 8pt; margin-top: 8px }
</style>
</head>
<body>
<div class="bar">Out of service</div>
<h1>{!! $t("$machine->name, $part->what") !!}</h1>
<dl>
<dt>Why</dt><dd>{!! $t($part->why) !!}</dd>
<dt>Wire lifted and capped</dt><dd>{!! $t($part->wire) !!}</dd>
<dt>By</dt><dd>{!! $t($part->who) !!}, {{ $when }}</dd>
</dl>
<p class="soft">{!! $t("{$machine->job->site->name}, $machine->place") !!}. Do not return to service until the person signed here, or the lead, says so. Danger: do not operate. Entry {{ $part->at }} of this unit's record.</p>
</body>
</html>

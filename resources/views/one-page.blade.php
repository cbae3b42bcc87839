<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<style>
@page { margin: 38px 46px 52px }
body { font: 9.5pt/1.35 text; color: #1b1f22; margin: 0 }
.other { font-family: "DejaVu Sans" }
.by { float: right; text-align: right; color: #59636a; font-size: 8.5pt }
h1 { font: bold 24pt figures; margin: 0 }
h2 { font: bold 14pt figures; margin: 12px 0 2px; border-bottom: 1.5px solid #1b1f22 }
p { margin: 2px 0 }
.soft { color: #59636a; font-size: 8pt }
.said { font-size: 11.5pt }
.stop { color: #9c1f17; font-weight: bold }
img { display: block; margin: 6px auto }
table { width: 100%; border-collapse: collapse }
td, th { text-align: left; vertical-align: top; padding: 2px 8px 2px 0; border-bottom: 0.5px solid #cfcabd; font-weight: normal }
th { font: bold 9.5pt figures; color: #59636a }
.num { font: 11pt figures }
.best { font-weight: bold; border-bottom: 2px solid #1f5a3c }
</style>
</head>
<body>
<p class="by">{{ now()->setTimezone($zone)->format('Y-m-d') }}</p>
<h1>{{ $title }}</h1>
<p class="said">{!! $t("$machine->name, {$machine->job->site->name}") !!}</p>
<p class="soft">{!! $t(implode(' · ', array_filter([$machine->summary, $machine->place, $machine->job->site->address]))) !!}</p>
@foreach ($entries as $entry)
<h2>{!! $t($entry->title) !!}</h2>
<p class="said {{ $entry->status }}">{!! $t($entry->headline) !!}</p>
@if ($options !== null && $loop->first)
<table>
<tr><th></th>@foreach ($options['names'] as $name)<th>{!! $t($name) !!}</th>@endforeach</tr>
@foreach ($options['rows'] as $row => $cells)
<tr><td>{{ $row_name($row) }}</td>@foreach ($cells as $cell)<td class="num {{ $cell['best'] ? 'best' : '' }}">{{ $cell['text'] }}</td>@endforeach</tr>
@endforeach
</table>
<p class="soft">The best of each row is underlined.</p>
@foreach ($entry->because as $line)<p>{!! $t($line) !!}</p>@endforeach
@else
@foreach ($drawings($entry) as $image)<img src="{{ $image }}" alt="" style="max-height: 1230px">@endforeach
<table>
@foreach (array_chunk($figures($entry), $wide ? 1 : 3) as $row)
<tr>@foreach ($row as [$label, $figure])<td style="width:{{ $wide ? '100%' : '33%' }}"><span class="soft">{!! $t($label) !!}</span> <span class="num">{!! $t($figure) !!}</span></td>@endforeach</tr>
@endforeach
</table>
@foreach ($photos === null ? [] : $entry->photos as $photo)
@if (($file = $photos($photo)) !== '')<img src="{{ $file }}" alt="" style="max-height: 260px; max-width: 100%">@if ($photo->caption !== '')<p class="soft">{!! $t($photo->caption) !!}</p>@endif @endif
@endforeach
@foreach ($entry->because as $line)<p class="soft">{!! $t($line) !!}</p>@endforeach
@foreach ($is_left ? [] : $entry->next as $line)<p>{!! $t($line) !!}</p>@endforeach
@endif
<p class="soft">Recorded by {!! $t($entry->who) !!}, entry {{ $entry->at }} of this unit's record.</p>
@endforeach
<p class="soft">Local code, the manufacturer's instructions and the licensed person on site decide.</p>
</body>
</html>

<?php

declare(strict_types=1);

return [
    'run.standing_pressure' => [
        'question' => 'Is there liquid in it before it starts?',
        'short' => 'Standing pressure',
        'fields' => [
            'refrigerant' => ['Refrigerant', ''],
            'pressure' => ['Liquid side', 'Before anything turns.'],
            'suction' => ['Suction side', ''],
            'ambient' => ['Outdoor air', 'Where the unit stands.'],
            'coil' => ['Coil', 'Clamp on the condenser coil.'],
            'indoor' => ['Indoor air', 'At the indoor coil.'],
            'standing_hours' => ['Stood for', 'Since it last ran, or gas was let in.'],
            'needed_hours' => ['It should stand', ''],
            'valves_open' => ['Service valves open', ''],
            'altitude' => ['Altitude', ''],
            'barometer' => ['Barometer', 'As it reads there, not corrected to sea level.'],
        ],
        'say' => [
            'saturated' => ['head' => 'There is liquid in it: {read} is saturation.', 'next' => 'It says nothing of how much: weigh it in, or read the charge once it runs.'],
            'below_saturation' => ['head' => 'A little low: {read}, and it should stand at {low} or more.', 'next' => 'Read gauge zero, thermometer and refrigerant again, then look for the leak.'],
            'vapour_only' => ['head' => 'Vapor only: {read}, and it should stand at {low} or more.', 'next' => ['Do not start it: the liquid is gone.', 'Find the leak, hold and dry the circuit, then weigh the charge in.']],
            'flat' => ['head' => 'Flat: {read}, and it should stand at {low} or more.', 'next' => ['Do not start it.', 'Look at the gauge port first: a back-seated service valve shuts its own port. Then read the other side.', 'Shipped with nitrogen? Otherwise find the leak, pressure test, pull it dry, and charge by weight.']],
            'in_vacuum' => ['head' => 'It stands in a vacuum.', 'next' => 'No megohmmeter on this compressor, and no start.'],
            'above_saturation' => ['head' => 'Too high: {read}, and it should stand at {high} at most.', 'next' => ['Sun on the coil, the gauge\'s zero, the wrong gas in the gauge?', 'Then air in it, or another refrigerant: take a sample.']],
            'too_cold_to_tell' => ['head' => 'Too cold to tell by pressure.', 'next' => 'Read it in a warmer hour, or weigh the charge.'],
            'wait' => ['head' => 'It has to stand another {left}.', 'next' => 'Leave it off and read it then.'],
            'valves_shut' => ['head' => 'The service valves are closed: this is the pressure of a part of it.', 'next' => 'Open them first, if the circuit is tight and dry.'],
            'sides_differ' => ['head' => 'The sides stand {apart} apart.', 'next' => 'A closed valve, or it was pumped down. Find which before it starts.'],
            'basis' => ['head' => 'Dew at the coldest and bubble at the hottest temperature around it; 5 °F off is a warning, 10 °F a stop.'],
        ],
    ],
];

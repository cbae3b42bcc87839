<?php

declare(strict_types=1);

namespace IronStart\StandIn;

/**
 * The line protocol of the simulated controller, as README.md beside this tells it: a JSON object a line asks, a JSON
 * object a line answers, in the order they were asked.
 */
final class Server
{
    public const ASKS = ['load', 'state', 'press'];
    private const LINE = 65_536;
    private const SYSTEMS = 64;
    private const CONNECTIONS = 64;

    /** @var array<string, System> the newest last */
    private array $systems = [];

    /** @param float $speed simulated minutes a minute */
    public function __construct(private readonly float $speed = 1.0)
    {
    }

    /**
     * Answers one line.
     *
     * @param float $minutes of this machine's own clock
     */
    public function answer(string $line, float $minutes): string
    {
        $now = $minutes * $this->speed;
        try {
            $asked = json_decode($line, true, 16, JSON_THROW_ON_ERROR);
            if (! is_array($asked)) {
                throw new \InvalidArgumentException('a JSON object');
            }
            $system = self::text($asked, 'system');
            $answer = match ($asked['ask'] ?? null) {
                'load' => $this->load($system, $asked, $now),
                'state' => $this->of($system)->state($now),
                'press' => $this->pressed($system, $asked, $now),
                default => throw new \InvalidArgumentException('ask: ' . implode(', ', self::ASKS)),
            };
        } catch (\JsonException) {
            $answer = ['error' => 'a JSON object on one line'];
        } catch (\InvalidArgumentException $wrong) {
            $answer = ['error' => $wrong->getMessage()];
        }

        return json_encode($answer + ['simulated' => true, 'speed' => $this->speed], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    /**
     * Serves until it is ended.
     *
     * @param resource $listening
     */
    public function serve($listening): never
    {
        $open = $unread = [];
        while (true) {
            $read = [$listening, ...array_values($open)];
            $write = $except = null;
            if (@stream_select($read, $write, $except, null) === false) {
                exit(0);
            }
            foreach ($read as $stream) {
                if ($stream === $listening) {
                    $new = @stream_socket_accept($listening, 0);
                    if ($new !== false && count($open) < self::CONNECTIONS) {
                        stream_set_blocking($new, false);
                        [$open[(int) $new], $unread[(int) $new]] = [$new, ''];
                    } elseif ($new !== false) {
                        fclose($new);
                    }
                    continue;
                }
                $id = (int) $stream;
                $bytes = fread($stream, 8192);
                $unread[$id] .= (string) $bytes;
                while (($end = strpos($unread[$id], "\n")) !== false) {
                    $line = substr($unread[$id], 0, $end);
                    $unread[$id] = substr($unread[$id], $end + 1);
                    @fwrite($stream, $this->answer($line, hrtime(true) / 6e10) . "\n");
                }
                if ($bytes === false || feof($stream) || strlen($unread[$id]) > self::LINE) {
                    fclose($stream);
                    unset($open[$id], $unread[$id]);
                }
            }
        }
    }

    /**
     * @param array<mixed> $asked
     * @return array<string, mixed>
     */
    private function load(string $name, array $asked, float $now): array
    {
        // What is loaded goes on as it stands: whoever comes second does not start it anew.
        if (! isset($this->systems[$name])) {
            $script = array_map(fn (mixed $step): array => [
                'code' => self::text($step, 'code'), 'wait' => self::minutes($step), 'passes_when' => self::text($step, 'passes_when'),
                'faults' => array_map(fn (mixed $fault): string => self::word($fault, 'faults'), self::list($step, 'faults')),
            ], self::list($asked, 'script'));
            $boxes = array_map(fn (mixed $box): array => array_map(fn (mixed $unit): string => self::word($unit, 'boxes'), is_array($box) ? array_values($box) : []), self::list($asked, 'boxes'));
            $units = array_merge(...$boxes);
            if ($script === [] || $units === [] || count($units) !== count(array_unique($units))) {
                throw new \InvalidArgumentException('script: one step or more, boxes: each indoor unit once');
            }
            $this->systems[$name] = new System($script, $boxes, is_int($asked['seed'] ?? null) ? $asked['seed'] : 0);
            $this->systems = array_slice($this->systems, -self::SYSTEMS, null, true);
        }

        return $this->systems[$name]->state($now);
    }

    /**
     * @param array<mixed> $asked
     * @return array<string, mixed>
     */
    private function pressed(string $name, array $asked, float $now): array
    {
        $units = array_map(fn (mixed $unit): string => self::word($unit, 'units'), self::list($asked, 'units'));
        $this->of($name)->press(self::text($asked, 'press'), $units, is_string($asked['mode'] ?? null) ? $asked['mode'] : 'cool', $now);

        return $this->of($name)->state($now);
    }

    private function of(string $name): System
    {
        return $this->systems[$name] ?? throw new \InvalidArgumentException('system: one that was loaded');
    }

    private static function text(mixed $of, string $name): string
    {
        return self::word(is_array($of) ? ($of[$name] ?? null) : null, $name);
    }

    private static function word(mixed $word, string $name): string
    {
        return is_string($word) && $word !== '' && strlen($word) <= 120 ? $word : throw new \InvalidArgumentException("$name: a text of 1 to 120 bytes");
    }

    private static function minutes(mixed $of): float
    {
        $wait = is_array($of) ? ($of['wait'] ?? 0) : 0;

        return (is_int($wait) || is_float($wait)) && $wait >= 0 && $wait <= 10_000 ? (float) $wait : throw new \InvalidArgumentException('wait: minutes from 0 to 10000');
    }

    /** @return list<mixed> */
    private static function list(mixed $of, string $name): array
    {
        $list = is_array($of) ? ($of[$name] ?? []) : [];

        return is_array($list) && count($list) <= 256 ? array_values($list) : throw new \InvalidArgumentException("$name: a list of at most 256");
    }
}

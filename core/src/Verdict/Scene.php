<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

/**
 * A drawing to scale, in plan or in section: bodies, dimension lines, loads, and handles by which a measure is changed.
 * All in metres, x to the right, y up (in plan: across).
 *
 * A measure that is not known yet leaves out what hangs on it.
 *
 * @phpstan-type Point array{float, float}
 */
final class Scene
{
    /** m; what is nearer than that is one point. */
    private const POINT = 0.0005;
    /** @var list<array<string, mixed>> */
    private array $bodies = [];
    /** @var list<array{from: Point, to: Point, away: float, value: float, field: string, is: string}> */
    private array $dims = [];
    /** @var list<array<string, mixed>> */
    private array $marks = [];
    /** @var list<array<string, mixed>> */
    private array $handles = [];

    /** @param bool $isSmall measures told in inches or millimetres, not in feet or metres */
    private function __construct(private readonly string $view, private readonly bool $isSmall)
    {
    }

    public static function plan(bool $isSmall): self
    {
        return new self('plan', $isSmall);
    }

    public static function section(bool $isSmall): self
    {
        return new self('section', $isSmall);
    }

    /**
     * @param list<Point> $points
     * @param string      $word of the lexicon's group "drawn"; '' for none
     * @param string      $is   plain, pale, over, hole, cut, wall, pipe, water, ground, stop
     * @param string      $at   where its name stands: middle, top or bottom within it, above or below it
     */
    public function body(string $id, array $points, string $word = '', string $is = 'plain', bool $closed = true, string $at = 'middle'): self
    {
        $this->bodies[] = ['id' => $id, 'word' => $word, 'points' => $points, 'is' => $is, 'closed' => $closed, 'at' => $at];

        return $this;
    }

    public function box(string $id, float $x, float $y, float $width, float $height, string $word = '', string $is = 'plain', string $at = 'middle'): self
    {
        return $this->body($id, [[$x, $y], [$x + $width, $y], [$x + $width, $y + $height], [$x, $y + $height]], $word, $is, true, $at);
    }

    /**
     * A dimension line between two points, set off from them by `away` (m, to the left of the way from one to the other).
     *
     * @param Point  $from
     * @param Point  $to
     * @param string $field the measure it is, by its path; '' for one that follows
     * @param string $is    plain, or stop or watch for the one that decides
     */
    public function dim(array $from, array $to, float $away, float $value, string $field = '', string $is = 'plain'): self
    {
        // Nothing can be drawn between two points that are one.
        if (Limit::over(abs($from[0] - $to[0]) + abs($from[1] - $to[1]), self::POINT)) {
            $this->dims[] = ['from' => $from, 'to' => $to, 'away' => $away, 'value' => $value, 'field' => $field, 'is' => $is];
        }

        return $this;
    }

    /**
     * A figure at a place.
     *
     * @param Point $at
     * @param Value $value told in the units asked for
     */
    public function mark(array $at, Value $value, string $is = 'plain'): self
    {
        $this->marks[] = ['at' => $at, 'value' => $value, 'is' => $is];

        return $this;
    }

    /**
     * A body that is taken hold of: moved along x or y it changes those measures.
     *
     * @param string $body that follows the hand; '' where only an edge of one is moved
     * @param Point  $at
     * @param string $x the measure that grows to the right, '-' before it when it grows to the left; '' for none
     * @param string $y the same upwards
     * @param array{float, float}|null $value of the measures, where no dimension line tells them
     */
    public function handle(string $body, array $at, string $x = '', string $y = '', ?array $value = null): self
    {
        $of = function (string $field, int $i) use ($value): float {
            foreach ($this->dims as $dim) {
                if ($value === null && $field !== '' && $dim['field'] === ltrim($field, '-')) {
                    return $dim['value'];
                }
            }

            return $value[$i] ?? 0.0;
        };
        $this->handles[] = ['body' => $body, 'at' => $at, 'x' => $x, 'y' => $y, 'value' => ['x' => $of($x, 0), 'y' => $of($y, 1)]];

        return $this;
    }

    /** @return array<string, mixed> empty when there is nothing to be seen */
    public function drawing(): array
    {
        return $this->bodies === [] ? [] : [
            'shape' => 'scene', 'view' => $this->view, 'small' => $this->isSmall, 'bodies' => $this->bodies,
            'dims' => $this->dims, 'marks' => $this->marks, 'handles' => $this->handles,
        ];
    }
}

<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Input;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Status;

/**
 * The conductors of one circuit, followed from the outdoor end to the other by their colour. A colour that goes to
 * another kind of terminal burns a board; one that goes to another of the same kind turns a polar bus round.
 *
 * @phpstan-type Wire array{colour: string, near: string, far: string, is: string}
 */
final class Conductors
{
    /** @var list<Wire> */
    private array $wires = [];
    /** @var array<string, Finding> by code */
    private array $found = [];
    private readonly string $name;

    /** @param array<string, string> $kinds kind by terminal */
    public function __construct(private readonly Input $circuit, private readonly array $kinds)
    {
        $this->name = $circuit->text('name');
        if ($circuit->all('near', 'far')) {
            $this->follow();
            $this->carried();
            $this->doubled();
        }
        $this->shield();
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return array_values($this->found);
    }

    /** @return array{wires: list<Wire>} each with the terminal at either end, '' where it is not seen */
    public function drawn(): array
    {
        return ['wires' => $this->wires];
    }

    private function follow(): void
    {
        [$near, $far] = [$this->landed('near'), $this->landed('far')];
        $lost = ['near' => [], 'far' => []];
        $spelled = [];
        foreach (['near', 'far'] as $end) {
            foreach ($this->circuit->items($end) as $conductor) {
                $spelled[self::key($conductor->text('colour'))] ??= trim($conductor->text('colour'));
            }
        }
        foreach ($spelled as $key => $colour) {
            [$here, $there] = [$near[$key] ?? [], $far[$key] ?? []];
            // What lands alike is matched first: a colour may stand there twice.
            foreach ($here as $i => $terminal) {
                $j = array_search($terminal, $there, true);
                if ($j !== false) {
                    $this->wires[] = ['colour' => $colour, 'near' => $terminal, 'far' => $terminal, 'is' => 'plain'];
                    unset($here[$i], $there[$j]);
                }
            }
            [$here, $there] = [array_values($here), array_values($there)];
            $both = min(count($here), count($there));
            for ($i = 0; $i < $both; $i++) {
                $this->moved($colour, $here[$i], $there[$i]);
            }
            foreach (['near' => $here, 'far' => $there] as $end => $left) {
                foreach (array_slice($left, $both) as $terminal) {
                    $lost[$end][] = ['colour' => $colour, 'terminal' => $terminal];
                }
            }
        }
        foreach ($lost as $end => $conductors) {
            foreach ($conductors as $conductor) {
                $this->wires[] = ['colour' => $conductor['colour'], 'near' => $end === 'near' ? $conductor['terminal'] : '', 'far' => $end === 'far' ? $conductor['terminal'] : '', 'is' => 'watch'];
                $this->add(Finding::watch("colour_lost:$this->name:{$conductor['colour']}", ['circuit' => $this->name, 'colour' => $conductor['colour']]));
            }
        }
        if (count($lost['near']) === count($lost['far']) && $this->counted($lost['near']) !== $this->counted($lost['far'])) {
            $this->add($this->crossed());
        }
    }

    /** A colour on one terminal here and on another there. */
    private function moved(string $colour, string $near, string $far): void
    {
        $finding = match (true) {
            $this->kinds[$near] !== $this->kinds[$far] => $this->crossed(),
            $this->circuit->flag('polar') => Finding::stop("polarity:$this->name", ['circuit' => $this->name]),
            default => Finding::watch("colour_swapped:$this->name", ['circuit' => $this->name]),
        };
        $this->wires[] = ['colour' => $colour, 'near' => $near, 'far' => $far, 'is' => $finding->status === Status::Stop ? 'stop' : 'watch'];
        $this->add($finding);
    }

    /** A bus that lands on power at both ends is crossed as well. */
    private function carried(): void
    {
        $other = ['power' => 'signal', 'signal' => 'power'][$this->circuit->text('carries')] ?? '';
        foreach (['near', 'far'] as $end) {
            foreach ($this->circuit->items($end) as $conductor) {
                if ($this->kinds[$conductor->text('terminal')] === $other) {
                    $this->add($this->crossed());
                }
            }
        }
    }

    private function doubled(): void
    {
        foreach (['near', 'far'] as $end) {
            $terminals = array_filter(array_map(fn (Input $c): string => $c->text('terminal'), $this->circuit->items($end)), fn (string $t): bool => $this->kinds[$t] !== 'earth');
            if (count($terminals) > count(array_unique($terminals))) {
                $this->add(Finding::watch("doubled:$this->name", ['circuit' => $this->name]));
            }
        }
    }

    private function shield(): void
    {
        $shield = $this->circuit->group('shield');
        if ($shield === null || ! $shield->all('near_grounded', 'far_grounded')) {
            return;
        }
        $word = match ([$shield->flag('near_grounded'), $shield->flag('far_grounded')]) {
            [true, true] => 'both',
            [false, true] => 'far',
            [false, false] => 'none',
            default => '',
        };
        if ($word !== '') {
            $this->add(Finding::watch("shield_$word:$this->name", ['circuit' => $this->name]));
        }
    }

    private function crossed(): Finding
    {
        return Finding::stop("kind_crossed:$this->name", ['circuit' => $this->name]);
    }

    private function add(Finding $finding): void
    {
        $this->found[$finding->code] ??= $finding;
    }

    /** @return array<string, list<string>> terminals by colour */
    private function landed(string $end): array
    {
        $landed = [];
        foreach ($this->circuit->items($end) as $conductor) {
            $landed[self::key($conductor->text('colour'))][] = $conductor->text('terminal');
        }

        return $landed;
    }

    /**
     * @param list<array{colour: string, terminal: string}> $conductors
     * @return array<string, int> how many go to each kind
     */
    private function counted(array $conductors): array
    {
        $count = array_count_values(array_map(fn (array $c): string => $this->kinds[$c['terminal']], $conductors));
        ksort($count);

        return $count;
    }

    private static function key(string $colour): string
    {
        return mb_strtolower(trim($colour));
    }
}

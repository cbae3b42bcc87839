<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Selector\SelectorInterface;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Which way dependencies point: interface, edge, application, core. Read by the static analysis; each rule has its planted violation. */
final class Layers
{
    /** What the application is made of below its edge. */
    private const INSIDE = ['Actions', 'Queries', 'Records', 'Tables', 'Models', 'Support', 'Views', 'Refusals'];

    public function test_the_core_uses_nothing_outside_itself(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('IronStart\Core'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App'), Selector::inNamespace('Illuminate'), Selector::inNamespace('Symfony'), Selector::inNamespace('Carbon'))
            ->because('the rules of the job stand by themselves');
    }

    public function test_the_contract_of_a_check_knows_nobody_above_it(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('IronStart\Core\Check'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('IronStart\Core\Gate'), Selector::inNamespace('IronStart\Core\Judge'), Selector::inNamespace('IronStart\Core\Power'), Selector::inNamespace('IronStart\Core\Compressor'), Selector::inNamespace('IronStart\Core\Walked'))
            ->because('checks are built on it, not the other way');
    }

    public function test_nothing_inside_knows_the_edge(): Rule
    {
        return PHPat::rule()
            ->classes(...self::inside())
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'), Selector::inNamespace('Illuminate\Http'))
            ->because('what a use case does is the same for every way in');
    }

    public function test_models_know_nobody_who_asks(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Models'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Actions'), Selector::inNamespace('App\Queries'), Selector::inNamespace('App\Records'), Selector::inNamespace('App\Views'))
            ->because('a row does not know who asks for it');
    }

    public function test_views_are_shapes_alone(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Views'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Models'), Selector::inNamespace('App\Actions'), Selector::inNamespace('App\Queries'), Selector::inNamespace('App\Records'))
            ->because('a shape holds what it was given');
    }

    /** @return list<SelectorInterface> */
    private static function inside(): array
    {
        return array_map(fn (string $part): SelectorInterface => Selector::inNamespace("App\\$part"), self::INSIDE);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Which way dependencies point: interface, application, core. Read by the static analysis. */
final class Layers
{
    public function test_the_core_uses_nothing_outside_itself(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('IronStart\Core'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App'), Selector::inNamespace('Illuminate'), Selector::inNamespace('Symfony'), Selector::inNamespace('Carbon'))
            ->because('the rules of the job stand by themselves');
    }

    public function test_models_know_nothing_of_http(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Models'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'), Selector::inNamespace('App\Actions'), Selector::inNamespace('App\Queries'))
            ->because('a row does not know who asks for it');
    }

    public function test_actions_know_nothing_of_controllers(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Actions'), Selector::inNamespace('App\Queries'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http\Controllers'), Selector::inNamespace('App\Http\Middleware'))
            ->because('controllers use actions, not the other way');
    }
}

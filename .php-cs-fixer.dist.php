<?php

declare(strict_types=1);

$finder = PhpCsFixer\Finder::create()->in([__DIR__ . '/core/src', __DIR__ . '/core/tests', __DIR__ . '/core/data', __DIR__ . '/core/phrases', __DIR__ . '/app', __DIR__ . '/config', __DIR__ . '/routes', __DIR__ . '/database', __DIR__ . '/tests', __DIR__ . '/packages', __DIR__ . '/bootstrap'])->exclude(['cache'])->name('*.php')->notName('*.blade.php');

return (new PhpCsFixer\Config())
    ->setCacheFile(__DIR__ . '/var/cache/php-cs-fixer.cache')
    ->setRiskyAllowed(true)
    ->setRules(['@PSR12' => true, 'declare_strict_types' => true, 'no_unused_imports' => true, 'ordered_imports' => true, 'single_quote' => true, 'trailing_comma_in_multiline' => true, 'not_operator_with_successor_space' => true, 'concat_space' => ['spacing' => 'one'], 'no_extra_blank_lines' => true, 'blank_line_before_statement' => ['statements' => ['return']]])
    ->setFinder($finder);

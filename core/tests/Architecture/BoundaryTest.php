<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Architecture;

use PHPUnit\Framework\TestCase;

/**
 * The core calls nothing that reads a clock, chance, the surroundings or the disk, and rounds in one place.
 *
 * Rules about classes do not see function calls, so the tokens are read.
 */
final class BoundaryTest extends TestCase
{
    private const FORBIDDEN = [
        'time', 'date', 'microtime', 'hrtime', 'strtotime', 'rand', 'mt_rand', 'random_int', 'random_bytes', 'shuffle', 'array_rand', 'getenv', 'putenv', 'setlocale', 'ini_set',
        'file_put_contents', 'fopen', 'fwrite', 'curl_init', 'exec', 'shell_exec', 'system', 'header', 'session_start', 'config', 'env', 'app', 'now', 'request', 'dd', 'var_dump', 'error_log',
    ];
    /** Where a function is at home. */
    private const ROUNDS = ['round' => ['Wording/Formatter.php', 'Check/Field.php'], 'number_format' => ['Wording/Formatter.php']];

    public function testTheSourceCallsNothingForbidden(): void
    {
        $found = [];
        foreach ($this->files(dirname(__DIR__, 2) . '/src') as $name => $path) {
            foreach (self::calls((string) file_get_contents($path)) as $call) {
                $home = self::ROUNDS[$call] ?? null;
                if (in_array($call, self::FORBIDDEN, true) || ($home !== null && ! in_array($name, $home, true))) {
                    $found[] = "$name: $call()";
                }
            }
        }
        self::assertSame([], $found);
    }

    public function testAPlantedCallIsFound(): void
    {
        $planted = self::calls('<?php namespace A; final class B { public function c(): int { return \time() + $this->date() + Clock::now(); } }');
        self::assertSame(['time'], array_values(array_intersect($planted, self::FORBIDDEN)), 'a method of that name is no call of the function');
    }

    public function testEveryFileIsStrict(): void
    {
        foreach ($this->files(dirname(__DIR__, 2) . '/src') as $name => $path) {
            self::assertStringContainsString('declare(strict_types=1);', (string) file_get_contents($path), $name);
        }
    }

    /** @return iterable<string, string> */
    private function files(string $folder): iterable
    {
        /** @var \SplFileInfo $file */
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
            yield substr($file->getPathname(), strlen($folder) + 1) => $file->getPathname();
        }
    }

    /** @return list<string> names of functions called in a source, methods and declarations left out */
    private static function calls(string $source): array
    {
        $tokens = array_values(array_filter(\PhpToken::tokenize($source), fn (\PhpToken $t): bool => ! $t->isIgnorable()));
        $calls = [];
        foreach ($tokens as $i => $token) {
            $named = $token->is([T_STRING, T_NAME_FULLY_QUALIFIED]);
            $before = $tokens[$i - 1] ?? null;
            $member = $before !== null && $before->is([T_OBJECT_OPERATOR, T_NULLSAFE_OBJECT_OPERATOR, T_DOUBLE_COLON, T_FUNCTION, T_NEW]);
            if ($named && ! $member && ($tokens[$i + 1] ?? null)?->text === '(') {
                $calls[] = ltrim(strtolower($token->text), '\\');
            }
        }

        return $calls;
    }
}

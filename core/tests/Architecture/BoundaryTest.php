<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Architecture;

use PHPUnit\Framework\TestCase;

/**
 * The core calls what is listed here and nothing else: no clock, no chance, no surroundings; the disk and rounding only
 * where they are at home. Rules about classes do not see function calls, so the tokens are read.
 */
final class BoundaryTest extends TestCase
{
    private const EVERYWHERE = [
        'lists' => 'array_column array_combine array_count_values array_diff array_diff_key array_fill array_fill_keys array_filter array_flip array_intersect array_intersect_key array_is_list array_key_first array_key_last array_keys array_map array_merge array_pop array_push array_reduce array_reverse array_search array_slice array_sum array_unique array_unshift array_values arsort asort count end in_array krsort ksort max min range sort usort',
        'numbers' => 'abs acos atan2 ceil cos deg2rad exp floatval floor intdiv intval is_finite is_nan log rad2deg sin sqrt tan',
        'texts' => 'explode implode preg_match preg_replace preg_split sprintf str_contains str_repeat str_replace str_split str_starts_with strcmp strlen strpos strrchr strstr strtok strtolower strtoupper strtr strval substr substr_count trim ltrim ucfirst ctype_digit mb_check_encoding mb_strimwidth mb_strlen mb_strtolower mb_strtoupper mb_substr',
        'kinds' => 'get_debug_type get_object_vars is_array is_bool is_float is_int is_numeric is_object is_scalar is_string property_exists',
        'json' => 'json_decode json_encode',
    ];
    /** Called in one place, which is its home. */
    private const AT_HOME = [
        'round' => ['Wording/Formatter.php', 'Check/Field.php'], 'number_format' => ['Wording/Formatter.php'], 'log10' => ['Wording/Formatter.php'], 'rtrim' => ['Wording/Formatter.php', 'Chain/CanonicalJson.php'],
        'is_file' => ['Wording/Phrases.php'], 'dirname' => ['Wording/Phrases.php', 'Power/Ampacity.php', 'Refrigerant/Refrigerant.php', 'Diagnose/Causes.php'],
        'hash' => ['Chain/Chain.php', 'Chain/Seal.php'], 'hash_equals' => ['Chain/Chain.php', 'Chain/RecordProof.php'], 'mb_convert_encoding' => ['Chain/CanonicalJson.php'],
        'str_getcsv' => ['Logger/LoggerFile.php', 'Vrf/WatchLog.php', 'Vrf/CsvTable.php'], 'preg_quote' => ['Logger/LoggerFile.php'], 'checkdate' => ['Logger/TimeForm.php'],
        'base64_encode' => ['Chain/Seal.php'], 'base64_decode' => ['Chain/Seal.php'],
        'sodium_crypto_sign_detached' => ['Chain/Seal.php'], 'sodium_crypto_sign_publickey_from_secretkey' => ['Chain/Seal.php'], 'sodium_crypto_sign_verify_detached' => ['Chain/Seal.php'],
    ];

    public function testTheSourceCallsNothingThatIsNotListed(): void
    {
        $found = [];
        foreach ($this->files(dirname(__DIR__, 2) . '/src') as $name => $path) {
            foreach (self::calls((string) file_get_contents($path)) as $call) {
                if (! self::may($call, $name)) {
                    $found[] = "$name: $call()";
                }
            }
        }
        self::assertSame([], $found);
    }

    public function testThePackageNamesEveryExtensionItNeeds(): void
    {
        $package = json_decode((string) file_get_contents(dirname(__DIR__, 2) . '/composer.json'), true);
        self::assertEqualsCanonicalizing(['php', 'ext-ctype', 'ext-date', 'ext-hash', 'ext-intl', 'ext-json', 'ext-mbstring', 'ext-pcre', 'ext-sodium', 'ext-tokenizer'], array_keys($package['require'] + array_filter($package['require-dev'], fn (string $name): bool => str_starts_with($name, 'ext-'), ARRAY_FILTER_USE_KEY)));
        foreach ($this->files(dirname(__DIR__, 2) . '/src') as $path) {
            foreach (self::calls((string) file_get_contents($path)) as $call) {
                if (! function_exists($call)) {
                    continue;
                }
                $extension = strtolower((string) (new \ReflectionFunction($call))->getExtensionName());
                self::assertContains($extension === '' || in_array($extension, ['standard', 'core'], true) ? 'php' : "ext-$extension", array_keys($package['require']), "$path: $call()");
            }
        }
    }

    public function testAPlantedCallIsFound(): void
    {
        $planted = self::calls('<?php namespace A; final class B { public function c(): int { return \time() + $this->date() + Clock::now(); } }');
        self::assertSame(['time'], array_values(array_filter($planted, fn (string $call): bool => ! self::may($call, 'x.php'))), 'a method of that name is no call of the function');
        self::assertFalse(self::may('round', 'Power/Voltage.php'), 'not at home there');
    }

    public function testEveryFileIsStrict(): void
    {
        foreach ($this->files(dirname(__DIR__, 2) . '/src') as $name => $path) {
            self::assertStringContainsString('declare(strict_types=1);', (string) file_get_contents($path), $name);
        }
    }

    private static function may(string $call, string $file): bool
    {
        return in_array($call, explode(' ', implode(' ', self::EVERYWHERE)), true) || in_array($file, self::AT_HOME[$call] ?? [], true);
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

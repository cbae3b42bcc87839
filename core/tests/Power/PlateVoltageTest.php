<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Power;

use IronStart\Core\Core;
use IronStart\Core\Power\PlateVoltage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A nameplate voltage as nameplates print it, at the ends of what one can be. */
final class PlateVoltageTest extends TestCase
{
    /** @return iterable<string, array{string, bool}> */
    public static function plates(): iterable
    {
        foreach (['100' => true, '99' => false, '1000' => true, '1001' => false, '200-300' => true, '200-301' => false, '208-230' => true, '208-230/460' => false, '460/3/60' => true, '' => false, 'high' => false] as $plate => $isOne) {
            yield "plate $plate" => [(string) $plate, $isOne];
        }
    }

    #[DataProvider('plates')]
    public function testWhatAPlateCanSay(string $plate, bool $isOne): void
    {
        $error = null;
        try {
            Core::judge()->input('power.voltage', ['plate_voltage' => $plate]);
        } catch (\IronStart\Core\Check\InputError $told) {
            $error = $told->field;
        }
        self::assertSame($isOne || $plate === '' ? null : 'plate_voltage', $error);
    }

    /** @return iterable<string, array{string, string}> as printed, in the core's form */
    public static function printed(): iterable
    {
        foreach (['460' => '460', '460V' => '460', '460 V' => '460', '460V-3Ph-60Hz' => '460/3/60', '208-230V' => '208-230'] as $plate => $form) {
            yield "printed $plate" => [(string) $plate, $form];
        }
    }

    #[DataProvider('printed')]
    public function testAsPrinted(string $plate, string $form): void
    {
        self::assertSame($form, PlateVoltage::fromNameplate($plate));
    }

    /** The interface asks for a reason by the same table: benches.test.ts reads it too. */
    public function testTwoWaysToWriteAPlateAreToldApartAsTheTableHasThem(): void
    {
        $rows = json_decode((string) file_get_contents(dirname(__DIR__) . '/Fixtures/same_plates.json'), true, 512, JSON_THROW_ON_ERROR);
        self::assertNotEmpty($rows);
        foreach ($rows as [$one, $other, $isSame]) {
            self::assertSame($isSame, PlateVoltage::areSame($one, $other), "$one and $other");
            self::assertSame($isSame, PlateVoltage::areSame($other, $one), "$other and $one");
        }
    }
}

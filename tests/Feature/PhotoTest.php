<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Records\PhotoStore;
use App\Records\Turns;
use App\Refusals\Refusal;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Testing\TestResponse;
use Tests\Support\FullDisk;

/** Pictures: shrunk, upright, without where they were taken, only what is a picture, and never at the cost of a reading. */
final class PhotoTest extends FeatureTestCase
{
    /** Exif with "turn by 90° clockwise" and a GPS latitude reference, as a camera writes it. */
    private const EXIF = "Exif\0\0MM\0\x2a\0\0\0\x08\0\x02\x01\x12\0\x03\0\0\0\x01\0\x06\0\0\x88\x25\0\x04\0\0\0\x01\0\0\0\x26\0\0\0\0\0\x01\0\x01\0\x02\0\0\0\x02N\0\0\0\0\0\0\0";

    private User $starter;

    private Machine $machine;

    private string $folder;

    private int $sent = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir() . '/' . uniqid('photos');
        $this->app?->instance(PhotoStore::class, new PhotoStore($this->folder, app(Turns::class)));
        $this->starter = $this->person(Role::Starter);
        $this->machine = $this->machine($this->starter);
        $this->record($this->starter, $this->machine, 'power.rotation', ['meter' => 'abc'])->assertCreated();
    }

    protected function tearDown(): void
    {
        exec('rm -rf ' . escapeshellarg($this->folder));
        parent::tearDown();
    }

    public function testAFileChangedUnderneathIsTold(): void
    {
        $this->send($this->jpeg(900, 600))->assertCreated();
        $differs = function (): array {
            app(CurrentCompany::class)->set(null);

            return $this->actingAs($this->starter)->getJson("/api/v1/machines/{$this->machine->id}/record")->assertOk()->json('differs');
        };
        self::assertSame([], $differs());
        $files = glob("$this->folder/*/*/*.jpg");
        self::assertCount(2, (array) $files);
        foreach ((array) $files as $file) {
            $was = (string) file_get_contents((string) $file);
            file_put_contents((string) $file, $this->jpeg(900, 600) . ' ');
            self::assertSame(['The photo of entry 2 is not the one that was taken.'], $differs(), (string) $file);
            unlink((string) $file);
            self::assertSame(['The photo of entry 2 is not the one that was taken.'], $differs(), (string) $file);
            file_put_contents((string) $file, $was);
        }
        self::assertSame([], $differs());
    }

    public function testItIsTurnedShrunkAndStrippedAndShownAtItsReading(): void
    {
        $given = $this->jpeg(2400, 1200);
        self::assertStringContainsString('Exif', $given);
        $kept = $this->send($given)->assertCreated();
        self::assertSame(['caption' => 'Meter', 'width' => 800, 'height' => 1600], array_intersect_key($kept->json('machine.tape.1.photos.0'), ['caption' => 0, 'width' => 0, 'height' => 0]));
        app(CurrentCompany::class)->set(null);
        $shown = $this->actingAs($this->starter)->get("/api/v1/machines/{$this->machine->id}/photos/{$kept->json('at')}")->assertOk()->assertHeader('Content-Type', 'image/jpeg');
        $bytes = (string) file_get_contents($shown->baseResponse->getFile()->getPathname());
        self::assertStringNotContainsString('Exif', $bytes);
        self::assertSame([800, 1600], array_slice((array) getimagesizefromstring($bytes), 0, 2));
        $stranger = $this->person(Role::Lead);
        app(CurrentCompany::class)->set(null);
        $this->actingAs($stranger)->getJson("/api/v1/machines/{$this->machine->id}/photos/{$kept->json('at')}")->assertNotFound();
    }

    public function testOnlyPicturesOfAnEntryOfThisMachineAndNotTooMany(): void
    {
        foreach (['<?php echo 1;', '<svg xmlns="http://www.w3.org/2000/svg"/>', substr($this->jpeg(300, 200), 0, 40), ''] as $no) {
            $this->send($no)->assertStatus(422);
        }
        $this->send(str_repeat('x', PhotoStore::BYTES + 1))->assertStatus(413);
        $this->send($this->bomb())->assertStatus(413);
        $this->send($this->jpeg(30, 20), 99)->assertStatus(422)->assertJsonPath('field', 'about');
        foreach (range(1, 6) as $i) {
            $this->send($this->jpeg(30 + $i, 20))->assertCreated();
        }
        $this->send($this->jpeg(50, 20))->assertStatus(409);
    }

    public function testLargeOnesAreTakenInOneAtATimeAndOfAPersonAnyOne(): void
    {
        $turns = app(Turns::class);
        $large = $this->jpeg(2001, 2000);
        $turns->take('photo', function () use ($large): void {
            $this->send($large)->assertStatus(429)->assertJsonPath('wait', 2);
            $this->send($this->jpeg(2000, 2000))->assertCreated();
        });
        $this->send($large)->assertCreated();
        $turns->take("photo-of-{$this->starter->id}", fn () => $this->send($this->jpeg(30, 20))->assertStatus(429));
        // A turn ends with what was done in it, also when that failed.
        foreach (['first', 'again'] as $time) {
            try {
                $turns->take('photo', fn () => throw new \RuntimeException($time));
            } catch (\RuntimeException $error) {
                self::assertSame($time, $error->getMessage());
            }
        }
        $this->expectException(Refusal::class);
        $turns->take('a', fn () => $turns->take('a', fn (): int => 1));
    }

    public function testAPictureTakesNoMoreMemoryThanItsPointsAndALittle(): void
    {
        mkdir($this->folder);
        file_put_contents("$this->folder/large", $this->jpeg(5000, 4000));
        $script = 'require $argv[1]; (new App\Records\PhotoStore($argv[2], new App\Records\Turns($argv[2])))->keep(1, (string) file_get_contents("$argv[2]/large")); preg_match("/VmHWM:\s+(\d+)/", (string) file_get_contents("/proc/self/status"), $peak); echo $peak[1];';
        $peak = (int) shell_exec(implode(' ', array_map(escapeshellarg(...), [PHP_BINARY, '-r', $script, base_path('vendor/autoload.php'), $this->folder])));
        // 20 million points of four bytes are 78,125 kB; turned before it was shrunk they would be there twice.
        self::assertGreaterThan(78_125, $peak);
        self::assertLessThan(78_125 + 60_000, $peak);
    }

    public function testWithoutRoomTheReadingStaysAndTheErrorIsClear(): void
    {
        stream_wrapper_register('full', FullDisk::class);
        $this->app?->instance(PhotoStore::class, new PhotoStore('full://photos', app(Turns::class)));
        $this->send($this->jpeg(300, 200))->assertStatus(507)->assertJsonPath('title', 'The photo could not be saved');
        app(CurrentCompany::class)->set(null);
        $this->actingAs($this->starter)->getJson("/api/v1/machines/{$this->machine->id}")->assertOk()->assertJsonPath('tape.0.check', 'power.rotation')->assertJsonPath('tape.0.photos', []);
        self::assertGreaterThan(0, FullDisk::$tried);
        stream_wrapper_unregister('full');
    }

    private function jpeg(int $width, int $height): string
    {
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        imagefilledrectangle($image, 0, 0, intdiv($width, 2), $height, (int) imagecolorallocate($image, 200, 30, 30));
        ob_start();
        imagejpeg($image, null, 80);
        $jpeg = (string) ob_get_clean();

        return substr($jpeg, 0, 2) . "\xff\xe1" . pack('n', strlen(self::EXIF) + 2) . self::EXIF . substr($jpeg, 2);
    }

    /** A few bytes that say they are a hundred million points. */
    private function bomb(): string
    {
        $head = 'IHDR' . pack('NN', 20_000, 20_000) . "\x08\x02\0\0\0";

        return "\x89PNG\r\n\x1a\n" . pack('N', 13) . $head . pack('N', crc32($head));
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function send(string $photo, int $about = 1): TestResponse
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($this->starter)->call('POST', "/api/v1/machines/{$this->machine->id}/photos?about=$about&caption=Meter", [], [], [], $this->transformHeadersToServerVars(['Idempotency-Key' => 'photo-key-' . ++$this->sent, 'X-Device' => 'test', 'X-Person' => (string) $this->starter->id, 'Content-Type' => 'image/jpeg', 'Accept' => 'application/json']), $photo);
    }
}

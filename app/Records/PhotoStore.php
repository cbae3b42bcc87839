<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Entry;
use App\Models\Machine;
use App\Refusals\Refusal;
use App\Views\PhotoView;

/**
 * Keeps pictures outside what the web server serves: turned upright, at most so large, written anew as JPEG, so that
 * neither the place they were taken at nor anything else that came with them stays. Each is named by its SHA-256.
 */
final class PhotoStore
{
    public const BYTES = 12_582_912;
    private const PIXELS = 40_000_000;
    /** Larger ones are decoded one at a time: a point takes four bytes, and a worker has 256 MB. */
    private const LARGE = 4_000_000;
    private const SIDE = 1_600;
    private const PREVIEW = 480;
    private const QUALITY = 82;

    public function __construct(private readonly string $folder, private readonly Turns $turns)
    {
    }

    /**
     * @return array{sha256: string, small_sha256: string, bytes: int, width: int, height: int}
     * @throws Refusal when it is no picture, too large, or there is no room for it
     */
    public function keep(int $companyId, string $given): array
    {
        $size = strlen($given) <= self::BYTES ? @getimagesizefromstring($given) : throw Refusal::tooLarge('A photo can have at most ' . intdiv(self::BYTES, 1_048_576) . ' MB.');
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw Refusal::field('photo', null, 'a photo: JPEG, PNG or WebP');
        }
        if ($size[0] * $size[1] > self::PIXELS) {
            throw Refusal::tooLarge('A photo can have at most ' . intdiv(self::PIXELS, 1_000_000) . ' million points.');
        }
        $small = $size[0] * $size[1] > self::LARGE ? $this->turns->take('photo', fn (): \GdImage => self::read($given, $size[2])) : self::read($given, $size[2]);
        ob_start();
        imagejpeg($small, null, self::QUALITY);
        $jpeg = (string) ob_get_clean();
        $sha = hash('sha256', $jpeg);
        $this->write($this->path($companyId, $sha), $jpeg);
        ob_start();
        imagejpeg(self::shrunk($small, self::PREVIEW), null, self::QUALITY);
        $preview = (string) ob_get_clean();
        $this->write($this->preview($companyId, $sha), $preview);

        return ['sha256' => $sha, 'small_sha256' => hash('sha256', $preview), 'bytes' => strlen($jpeg), 'width' => imagesx($small), 'height' => imagesy($small)];
    }

    /** The file of a kept picture. */
    public function path(int $companyId, string $sha): string
    {
        return "$this->folder/$companyId/" . substr($sha, 0, 2) . "/$sha.jpg";
    }

    /** The file of its small copy, for the tape and the paper. */
    public function preview(int $companyId, string $sha): string
    {
        return "$this->folder/$companyId/" . substr($sha, 0, 2) . "/$sha-small.jpg";
    }

    /** @return \Closure(PhotoView): string the file of a machine's photo, for the paper; '' where it is not there */
    public function of(Machine $machine): \Closure
    {
        $files = Entry::query()->where('machine_id', $machine->id)->where('kind', 'photo')->pluck('details', 'at');

        return function (PhotoView $photo) use ($files, $machine): string {
            $path = $this->preview($machine->company_id, (string) ($files[$photo->at]['sha256'] ?? ''));

            return is_file($path) ? $path : '';
        };
    }

    /** @return array<int, string> the kept pictures of a machine that are there, whole, by their entry */
    public function files(Machine $machine): array
    {
        $paths = [];
        foreach (Entry::query()->where('machine_id', $machine->id)->where('kind', 'photo')->orderBy('at')->pluck('details', 'at') as $at => $details) {
            $paths[(int) $at] = $this->path($machine->company_id, (string) ($details['sha256'] ?? ''));
        }

        return array_filter($paths, is_file(...));
    }

    /** Shrunk first, so that nothing large is made twice. */
    private static function read(string $given, int $type): \GdImage
    {
        $image = @imagecreatefromstring($given);
        if ($image === false) {
            throw Refusal::field('photo', null, 'a photo that can be read to its end');
        }

        return self::upright(self::shrunk($image), $given, $type);
    }

    /** A whole file or none: it is written beside and then moved. */
    private function write(string $path, string $jpeg): void
    {
        if (is_file($path)) {
            return;
        }
        $folder = dirname($path);
        $isThere = is_dir($folder) || @mkdir($folder, 0700, true) || is_dir($folder);
        $draft = "$path." . bin2hex(random_bytes(6));
        if (! $isThere || @file_put_contents($draft, $jpeg) !== strlen($jpeg) || ! @rename($draft, $path)) {
            @unlink($draft);
            throw Refusal::noRoom();
        }
    }

    /** As the camera was held, by its own word (Exif 2.3, tag 0x0112). */
    private static function upright(\GdImage $image, string $given, int $type): \GdImage
    {
        $stream = fopen('php://memory', 'r+');
        if ($type !== IMAGETYPE_JPEG || $stream === false || ! function_exists('exif_read_data')) {
            return $image;
        }
        fwrite($stream, $given);
        rewind($stream);
        $exif = @exif_read_data($stream);
        $turned = match (is_array($exif) ? ($exif['Orientation'] ?? 1) : 1) {
            3 => imagerotate($image, 180, 0),
            6 => imagerotate($image, -90, 0),
            8 => imagerotate($image, 90, 0),
            default => $image,
        };

        return $turned === false ? $image : $turned;
    }

    private static function shrunk(\GdImage $image, int $side = self::SIDE): \GdImage
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $scale = min(1, $side / max($width, $height));
        [$w, $h] = [max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale))];
        $small = imagecreatetruecolor($w, $h);
        // What is see-through becomes white: JPEG has no other way.
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled($small, $image, 0, 0, 0, 0, $w, $h, $width, $height);

        return $small;
    }
}

<?php

declare(strict_types=1);

namespace App\Records;

use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Contracts\View\Factory;

/** Prints a view as PDF, in the product's own fonts, with a line at the foot of every page. */
final class Paper
{
    /** Families of the paper, each with its files by weight. */
    private const FONTS = ['text' => [400, 700], 'figures' => [400, 700], 'mono' => [400]];

    public function __construct(private readonly Factory $views, private readonly string $fonts, private readonly string $cache)
    {
    }

    /**
     * @param array<string, mixed> $data
     * @param string $foot in the left of every page's foot; the right has its number
     * @param (\Closure(Pen, string): void)|null $more writes pages after the view's; given a folder for what it draws
     */
    public function print(string $view, array $data, string $title, string $foot, string $size = 'letter', ?\Closure $more = null): string
    {
        is_dir($this->cache) || @mkdir($this->cache, 0700, true);
        $options = new Options(['fontDir' => $this->cache, 'fontCache' => $this->cache, 'tempDir' => $this->cache, 'isRemoteEnabled' => false, 'isPhpEnabled' => false, 'isJavascriptEnabled' => false, 'defaultFont' => 'DejaVu Sans', 'isFontSubsettingEnabled' => true, 'dpi' => 96]);
        $options->setChroot([$this->fonts, config('iron.photos')]);
        $pdf = new Dompdf($options);
        foreach (self::FONTS as $family => $weights) {
            foreach ($weights as $weight) {
                // Before the interface is built its fonts are not there yet: the library's own stand in.
                is_file("$this->fonts/$family-$weight.ttf") && $pdf->getFontMetrics()->registerFont(['family' => $family, 'weight' => $weight === 700 ? 'bold' : 'normal', 'style' => 'normal'], "$this->fonts/$family-$weight.ttf");
            }
        }
        $pdf->setPaper($size);
        $pdf->loadHtml($this->views->make($view, $data + ['t' => self::text(...)])->render(), 'UTF-8');
        $pdf->render();
        if ($more !== null) {
            $this->drafting(fn (string $drafts) => $more(new Pen($pdf->getCanvas(), $pdf->getFontMetrics()), $drafts));
        }
        $pdf->addInfo('Title', $title);
        $canvas = $pdf->getCanvas();
        $mono = $pdf->getFontMetrics()->getFont('mono') ?? $pdf->getFontMetrics()->getFont('DejaVu Sans Mono');
        $canvas->page_text(36, $canvas->get_height() - 26, $foot, $mono, 6.5, [0.35, 0.39, 0.42]);
        $canvas->page_text($canvas->get_width() - 70, $canvas->get_height() - 26, '{PAGE_NUM} / {PAGE_COUNT}', $mono, 6.5, [0.35, 0.39, 0.42]);

        return (string) $pdf->output();
    }

    /** A text for the paper: what the fonts have no letters for is set in one that does. */
    public static function text(string $text): string
    {
        return (string) preg_replace(Pen::OTHER, '<span class="other">$0</span>', e($text));
    }

    /** With a folder for files that a page takes in while it is written, gone afterwards whatever happened. */
    private function drafting(\Closure $write): void
    {
        $drafts = "$this->cache/drafts-" . bin2hex(random_bytes(6));
        mkdir($drafts, 0700);
        try {
            $write($drafts);
        } finally {
            array_map(unlink(...), glob("$drafts/*") ?: []);
            rmdir($drafts);
        }
    }
}

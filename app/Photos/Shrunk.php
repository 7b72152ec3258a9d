<?php

declare(strict_types=1);

namespace App\Photos;

/**
 * A picture as it is kept: looked at by its content, its size read before it is decoded, turned as it was held, scaled down and written anew as a
 * JPEG, so that nothing of where and when it was taken goes along.
 */
final readonly class Shrunk
{
    private const TYPES = [IMAGETYPE_JPEG => 'JPEG', IMAGETYPE_PNG => 'PNG', IMAGETYPE_WEBP => 'WebP'];

    /** Long side of what is kept and of the small one, px; quality of a JPEG. */
    private const LONG = 2560;

    private const SMALL = 480;

    private const QUALITY = 82;

    /** More is not decoded: it takes five bytes each. */
    public const MEGAPIXELS = 16;

    private function __construct(public string $large, public string $small)
    {
    }

    /** @throws Unusable */
    public static function of(string $bytes): self
    {
        if ($bytes === '') {
            throw new Unusable('The file is empty.');
        }
        $info = @getimagesizefromstring($bytes);
        if ($info === false || ! isset(self::TYPES[$info[2]])) {
            throw new Unusable(sprintf('This is %s. Send a photo as JPEG, PNG or WebP.', self::kind($bytes)));
        }
        [$wide, $high] = $info;
        if ($wide < 1 || $high < 1 || $wide * $high > self::MEGAPIXELS * 1_000_000) {
            throw new Unusable(sprintf('This photo has %.0f megapixels (%d × %d). It may have %d.', $wide * $high / 1e6, $wide, $high, self::MEGAPIXELS));
        }
        $picture = @imagecreatefromstring($bytes);
        if ($picture === false) {
            throw new Unusable('This photo cannot be read: it may be cut off.');
        }
        $picture = self::turned($picture, $info[2] === IMAGETYPE_JPEG ? $bytes : '');

        return new self(self::written($picture, self::LONG), self::written($picture, self::SMALL));
    }

    /** Turned by how the camera was held. */
    private static function turned(\GdImage $picture, string $jpeg): \GdImage
    {
        $stream = fopen('php://memory', 'r+');
        assert($stream !== false);
        fwrite($stream, $jpeg);
        rewind($stream);
        $exif = $jpeg === '' ? false : @exif_read_data($stream);
        $orientation = is_array($exif) ? (int) ($exif['Orientation'] ?? 1) : 1;
        $angle = [3 => 180, 4 => 180, 5 => -90, 6 => -90, 7 => 90, 8 => 90][$orientation] ?? 0;
        $turned = $angle === 0 ? $picture : (imagerotate($picture, $angle, 0) ?: $picture);
        if (in_array($orientation, [2, 4, 5, 7], true)) {
            imageflip($turned, IMG_FLIP_HORIZONTAL);
        }

        return $turned;
    }

    private static function written(\GdImage $picture, int $long): string
    {
        [$wide, $high] = [imagesx($picture), imagesy($picture)];
        $scale = min(1.0, $long / max($wide, $high));
        [$w, $h] = [max(1, (int) round($wide * $scale)), max(1, (int) round($high * $scale))];
        $scaled = imagecreatetruecolor($w, $h);
        // What was see-through is paper.
        imagefill($scaled, 0, 0, (int) imagecolorallocate($scaled, 255, 255, 255));
        imagecopyresampled($scaled, $picture, 0, 0, 0, 0, $w, $h, $wide, $high);
        ob_start();
        imagejpeg($scaled, null, self::QUALITY);

        return (string) ob_get_clean();
    }

    /** What it is instead, for the sentence. */
    private static function kind(string $bytes): string
    {
        return match (true) {
            preg_match('/^.{4}ftyp(hei[cxms]|mif1|msf1|avif)/s', $bytes) === 1 => 'a HEIC or AVIF picture: send it as JPEG, which most phones do when asked for one',
            preg_match('/^\s*(<\?xml|<svg|<!DOCTYPE svg)/i', $bytes) === 1 => 'an SVG drawing',
            str_starts_with($bytes, 'GIF8') => 'a GIF',
            str_starts_with($bytes, '%PDF') => 'a PDF',
            preg_match('//u', substr($bytes, 0, 400)) === 1 => 'a text',
            default => 'no picture',
        };
    }
}

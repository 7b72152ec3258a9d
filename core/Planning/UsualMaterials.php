<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;

/**
 * What a new job is made of, in either system of measures: materials, what each serves, in which sizes and at which prices they
 * are sold, and what is bought by the piece. The prices are made up, to be typed over.
 */
final readonly class UsualMaterials
{
    /** What a pair of slides carries, kg. */
    private const SLIDES = 45.0;

    private const HEAVY_SLIDES = 225.0;

    private bool $isInch;

    public function __construct(private Unit $unit)
    {
        $this->isInch = $unit === Unit::Inch;
    }

    /** @return array{materials: list<array<string, mixed>>, uses: array<string, string>, stock: list<array<string, mixed>>, articles: list<array<string, mixed>>} */
    public function document(): array
    {
        return ['materials' => $this->materials(), 'uses' => array_combine($serves = ['carcass', 'frame', 'back', 'drawer', 'framing', 'cladding', 'rail', 'slat', 'leg', 'post', 'fire-board'], $serves), 'stock' => $this->stock(), 'articles' => $this->articles()];
    }

    /**
     * The material that usually serves a purpose of its own, and in which sizes it is sold; null where none does.
     *
     * @return array{material: array<string, mixed>, stock: list<array<string, mixed>>}|null
     */
    public function serving(Purpose $purpose): ?array
    {
        $material = array_column($this->materials(), null, 'id')[$this->document()['uses'][$purpose->value] ?? ''] ?? null;

        return $material === null ? null : ['material' => $material, 'stock' => array_values(array_filter($this->stock(), fn (array $entry) => $entry['material'] === $material['id']))];
    }

    /** @return list<array<string, mixed>> */
    private function materials(): array
    {
        $called = fn (string $mm, string $inch): string => $this->isInch ? $inch : $mm;
        $faced = $this->isInch ? ['Poplar board 3/4', 'poplar', 450.0] : ['Birch plywood 18, faced', 'birch-ply', 680.0];

        return [
            $this->sheet('carcass', $called('Birch plywood 18', 'Birch plywood 3/4'), '18', '23/32'),
            $this->sheet('frame', $faced[0], '18', '3/4', $faced[1], $faced[2]),
            $this->sheet('back', $called('Birch plywood 6', 'Birch plywood 1/4'), '6', '7/32'),
            $this->sheet('drawer', $called('Birch plywood 12', 'Birch plywood 1/2'), '12', '15/32'),
            $this->sheet('thick', $called('Birch plywood 27', 'Birch plywood 1'), '27', '31/32'),
            ['wood' => null] + $this->sheet('fire-board', $called('Cement board 12.5', 'Cement board 1/2'), '12.5', '1/2', density: 1250.0),
            $this->lineal('framing', 'board', $called('Batten 20 × 45', 'Batten 3/4 × 1 3/4'), ['20', '3/4'], ['45', '1 3/4']),
            $this->lineal('rail', 'board', $called('Timber 38 × 89', 'Timber 1 1/2 × 3 1/2'), ['38', '1 1/2'], ['89', '3 1/2']),
            $this->lineal('beam', 'board', $called('Timber 38 × 140', 'Timber 1 1/2 × 5 1/2'), ['38', '1 1/2'], ['140', '5 1/2']),
            $this->lineal('post', 'board', $called('Timber 89 × 89', 'Timber 3 1/2 × 3 1/2'), ['89', '3 1/2'], ['89', '3 1/2']),
            $this->lineal('slat', 'board', $called('Slat 28 × 89', 'Slat 1 × 3 1/2'), ['28', '1'], ['89', '3 1/2']),
            $this->lineal('leg', 'board', $called('Batten 28 × 45', 'Batten 1 1/8 × 1 3/4'), ['28', '1 1/8'], ['45', '1 3/4']),
            $this->lineal('cladding', 'board', $called('Tongue-and-groove board 9', 'Tongue-and-groove board 3/8'), ['9', '3/8'], ['96', '5 3/8'], ['90', '5 1/8']),
            $this->lineal('cover-strip', 'moulding', $called('Rounded cover strip 9 × 40', 'Rounded cover strip 3/8 × 1 1/2'), ['9', '3/8'], ['40', '1 1/2']),
        ];
    }

    /** @return array<string, mixed> */
    private function sheet(string $id, string $name, string $mm, string $inch, string $wood = 'birch-ply', float $density = 680.0): array
    {
        return ['id' => $id, 'kind' => 'sheet', 'name' => $name, 'thickness' => $this->length($mm, $inch), 'width' => null, 'cover' => null, 'density' => $density, 'wood' => $wood];
    }

    /**
     * @param  array{string, string}  $thick  in millimetres, and in inches
     * @param  array{string, string}  $wide
     * @param  array{string, string}|null  $cover
     * @return array<string, mixed>
     */
    private function lineal(string $id, string $kind, string $name, array $thick, array $wide, ?array $cover = null): array
    {
        return ['id' => $id, 'kind' => $kind, 'name' => $name, 'thickness' => $this->length(...$thick), 'width' => $this->length(...$wide), 'cover' => $cover === null ? null : $this->length(...$cover), 'density' => 480.0, 'wood' => 'pine'];
    }

    /** @return list<array<string, mixed>> */
    private function stock(): array
    {
        $full = fn (string $material, float $price) => $this->sold("$material-full", $material, $this->isInch ? '4 × 8 sheet' : 'full sheet', ['2440', '96'], ['1220', '48'], $price);
        $half = fn (string $material, float $price) => $this->sold("$material-half", $material, 'half sheet', ['1220', '48'], ['1220', '48'], $price);
        $long = fn (string $material, string $mm, string $inch, float $price) => $this->sold("$material-$mm", $material, $this->isInch ? "$inch in long" : "$mm long", [$mm, $inch], null, $price);

        return [
            $full('carcass', 84.0), $half('carcass', 46.0),
            $full('frame', 92.0), $half('frame', 50.0),
            $full('back', 38.0), $half('back', 21.0),
            $full('drawer', 62.0), $full('thick', 118.0), $half('thick', 64.0),
            $full('fire-board', 48.0),
            $long('framing', '2400', '96', 4.0), $long('rail', '2400', '96', 6.5), $long('rail', '3000', '120', 8.5), $long('beam', '2400', '96', 11.0), $long('beam', '3000', '120', 14.0), $long('post', '2400', '96', 14.0), $long('slat', '2400', '96', 6.0), $long('leg', '2400', '96', 5.0),
            $long('cladding', '2400', '96', 7.0), $long('cladding', '3000', '120', 9.0),
            $long('cover-strip', '2400', '96', 6.0),
        ];
    }

    /**
     * @param  array{string, string}  $long
     * @param  array{string, string}|null  $wide
     * @return array<string, mixed>
     */
    private function sold(string $id, string $material, string $name, array $long, ?array $wide, float $price): array
    {
        return ['id' => $id, 'material' => $material, 'name' => $name, 'length' => $this->length(...$long), 'width' => $wide === null ? null : $this->length(...$wide), 'price' => $price, 'quantity' => null];
    }

    /** @return list<array<string, mixed>> */
    private function articles(): array
    {
        $articles = [];
        foreach (ArticleKind::cases() as $kind) {
            foreach ($this->lengths($kind) as $i => $length) {
                // In inches an id must not hang on how a fraction is written.
                $id = $kind->value.($length === null ? '' : '-'.($i + 1));
                [$pack, $price, $more] = self::prices($kind);
                $articles[] = ['id' => $id, 'article' => $kind->value, 'length' => $length, 'load' => match ($kind) {
                    ArticleKind::Slides => self::SLIDES,
                    ArticleKind::HeavySlides => self::HEAVY_SLIDES,
                    default => null,
                }, 'pack' => $pack, 'price' => round($price + $more * $i, 2)];
            }
        }

        return $articles;
    }

    /** @return list<array{nm: int, typed: string}|null> */
    private function lengths(ArticleKind $kind): array
    {
        $format = $this->isInch ? LengthFormat::inches(16) : LengthFormat::millimetres();
        $sold = match ($kind) {
            ArticleKind::Rail => [$this->length('2000', '72'), $this->length('3000', '120')],
            ArticleKind::PianoHinge => [$this->length('900', '36'), $this->length('1800', '72')],
            ArticleKind::Bead, ArticleKind::LightProfile => [$this->length('2000', '72')],
            ArticleKind::Brad => [$this->length('35', '1 3/8')],
            default => array_map(fn (Length $length) => ['nm' => $length->nanometres(), 'typed' => $format->withoutUnit($length)], $kind->lengths($this->unit)),
        };

        return $kind->hasLength() ? $sold : [null];
    }

    /** @return array{int, float, float} so many in a pack, its price, and how much more each greater length costs */
    private static function prices(ArticleKind $kind): array
    {
        return match ($kind) {
            ArticleKind::PocketScrew => [100, 6.5, 1.0],
            ArticleKind::Screw => [200, 7.0, 0.9],
            ArticleKind::StrongScrew => [100, 6.0, 1.1],
            ArticleKind::StructuralScrew => [50, 14.0, 1.8],
            ArticleKind::Brad => [1000, 5.5, 0.0],
            ArticleKind::ShelfPin => [20, 3.2, 0.0],
            ArticleKind::Hinge => [2, 6.9, 0.0],
            ArticleKind::ButtHinge => [2, 5.4, 0.0],
            ArticleKind::Bumper => [20, 2.4, 0.0],
            ArticleKind::Felt => [16, 2.8, 0.0],
            ArticleKind::BarPull => [1, 6.5, 0.0],
            ArticleKind::Knob => [1, 3.9, 0.0],
            ArticleKind::CupPull => [1, 5.2, 0.0],
            ArticleKind::Hook => [1, 2.4, 0.0],
            ArticleKind::Slides => [1, 14.0, 1.6],
            ArticleKind::UnderSlides => [1, 29.0, 3.5],
            ArticleKind::HeavySlides => [1, 48.0, 4.5],
            ArticleKind::Rail => [1, 12.0, 6.0],
            ArticleKind::RailSocket => [2, 3.4, 0.0],
            ArticleKind::RailSupport => [1, 2.9, 0.0],
            ArticleKind::PianoHinge => [1, 11.0, 8.0],
            ArticleKind::LidStay => [1, 8.9, 0.0],
            ArticleKind::GasStay => [1, 9.5, 0.0],
            ArticleKind::FlapStay => [1, 7.2, 0.0],
            ArticleKind::Magnet => [1, 1.9, 0.0],
            ArticleKind::PushLatch => [1, 2.6, 0.0],
            ArticleKind::AngleBracket => [10, 4.2, 0.0],
            ArticleKind::Connector => [10, 4.9, 0.0],
            ArticleKind::BoxExtender => [1, 4.8, 0.0],
            ArticleKind::FlushCup => [1, 3.4, 0.0],
            ArticleKind::Castor => [1, 6.8, 0.0],
            ArticleKind::Grommet => [1, 3.6, 0.0],
            ArticleKind::Pane => [1, 38.0, 0.0],
            ArticleKind::Bead => [1, 4.5, 0.0],
            ArticleKind::TurnButton => [2, 3.2, 0.0],
            ArticleKind::LightProfile => [1, 24.0, 0.0],
            ArticleKind::LightDriver => [1, 19.0, 0.0],
            ArticleKind::WallPlug => [50, 6.0, 0.0],
        };
    }

    /** @return array{nm: int, typed: string} */
    private function length(string $mm, string $inch): array
    {
        return JobChoices::stored($this->isInch ? $inch : $mm, $this->unit);
    }
}

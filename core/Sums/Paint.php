<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Buy\Cover;
use Incastro\Buy\Pack;
use Incastro\Drawing\Drawing;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Amount;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Text;

/** What coats take: coats/coverage · 1.1 of the area; tins of least price that hold as much. */
#[About('paint', 'Paint', 'Litres for coats, and the tins that hold them for least.', 'To buy')]
final readonly class Paint implements Sum
{
    private const WASTE = 1.1;

    /** Packs are looked for in hundredths of a litre. */
    private const UNITS = 100;

    public function __construct(
        #[Amount('Area', 14.6, 0.01, 2000.0, 'm²')] public float $area,
        #[Count('Coats', 2, 1, 10)] public int $coats,
        #[Amount('Coverage', 12.0, 0.5, 50.0, 'm²/l', 'From the tin.')] public float $coverage,
        #[Text('Tins as litres = price', '0.75 = 14.50; 1 = 17.95; 2.5 = 36.90; 5 = 65.80', 120)] public string $tins,
    ) {
    }

    public function formula(): string
    {
        return 'area × coats ÷ coverage, and a tenth more; then the tins that hold it for least';
    }

    public function work(LengthFormat $format): Worked
    {
        $litres = $this->area * $this->coats / $this->coverage * self::WASTE;
        $cover = Cover::of((int) ceil($litres * self::UNITS - 1e-9), $this->packs());
        $side = sqrt($this->area) * 1000;

        return new Worked([
            new Answer('Litres', sprintf('%.2f', $litres)),
            new Answer('Tins', $cover->words()),
            ...$cover->price === null ? [] : [new Answer('Price', sprintf('%.2f', $cover->price / 100))],
        ], new Drawing('Paint', ['furniture' => [Sketch::board(0.0, 0.0, $side, $side)], 'answers' => [Sketch::label($side / 2, $side / 2, sprintf('%.2f l', $litres))]]), ['Edges of MDF drink twice as much.', ...$cover->note === null ? [] : [$cover->note]]);
    }

    /** @return non-empty-list<Pack> */
    private function packs(): array
    {
        $packs = [];
        foreach (array_filter(array_map(trim(...), explode(';', $this->tins)), fn (string $one) => $one !== '') as $one) {
            [$size, $price] = array_pad(array_map(trim(...), explode('=', $one)), 2, '');
            if (! is_numeric($size) || (float) $size <= 0.0 || ($price !== '' && ! is_numeric($price))) {
                throw new CannotBe('tins', sprintf('“%s” is not a tin. Type its litres and its price, such as 2.5 = 36.90, and a semicolon before the next.', $one));
            }
            $packs[] = new Pack(max(1, (int) round((float) $size * self::UNITS)), $price === '' ? null : (int) round((float) $price * 100), "tin of $size l");
        }

        return $packs === [] ? throw new CannotBe('tins', 'Type one tin at least, such as 2.5 = 36.90.') : $packs;
    }
}

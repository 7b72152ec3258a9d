<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Units\Assembly;

/**
 * A curtain before a bed, or before the room under a high one: how long its rail is, and what is cut of cloth. Drawn aside it takes 0.12
 * of the opening and 50 mm; its cloth is 1.8 times as wide as the opening, and side hems.
 */
final readonly class BedCurtain
{
    /** Drawn aside, besides its share of the opening; mm and inches. */
    private const STACK = [50.0, 2.0];

    private const STACKED = 0.12;

    private const FULLNESS = 1.8;

    /** Both side hems; head and foot together; over the floor; over the deck. */
    private const HEMS = [80.0, 3.125];

    private const HEAD = [150.0, 6.0];

    private const OVER_FLOOR = [20.0, 0.75];

    private const OVER_DECK = [50.0, 2.0];

    /** Its rail behind the face, so that cloth rubs on no front; from heat. */
    private const SET_BACK = [60.0, 2.5];

    private const FROM_HEAT = [300.0, 12.0];

    /** @param float $rail where its rail hangs, over the datum, mm */
    public function __construct(private BedSizes $sizes, private float $rail)
    {
    }

    public function build(): Assembly
    {
        $terms = $this->sizes->site->terms;
        $is = fn (array $size): Length => $terms->rules->either(...$size);
        $opening = Working::start('clear width', Length::ofDouble($this->sizes->pu));
        $stack = Working::start('0.12 of the opening', Length::ofDouble(self::STACKED * $this->sizes->pu))->plus('the hand’s room', $is(self::STACK))->roundedUp($terms->format);
        $isHigh = $this->sizes->deck > BedRoom::HIGH;
        $drop = Working::start('height of its rail', Length::ofDouble($this->rail));
        // Before drawers it hangs inside, to the deck.
        $drop = $this->sizes->bed->drawers && ! $isHigh
            ? $drop->minus('deck', Length::ofDouble($this->sizes->deck))->minus('over the deck', $is(self::OVER_DECK))
            : $drop->minus('over the floor', $is(self::OVER_FLOOR));
        $heat = Finding::note(Code::CurtainHeat, sprintf('Keep the curtain %s from lamps and heaters.', $terms->format->write($is(self::FROM_HEAT))), $this->sizes->site->cell->tier->id);

        return new Assembly([], decisions: [
            'Curtain, drawn aside' => $stack,
            'Curtain, its rail behind the face' => Working::start('cloth rubs on no front', $is(self::SET_BACK)),
            'Curtain, clear when it is drawn aside' => $opening->minus('drawn aside', $stack->result),
            'Curtain, width of the cloth' => Working::start('1.8 times the opening', Length::ofDouble(self::FULLNESS * $this->sizes->pu))->plus('side hems', $is(self::HEMS))->roundedUp($terms->format),
            'Curtain, drop' => $drop,
            'Curtain, cut length of the cloth' => Working::start('drop', $drop->result)->plus('head and hem', $is(self::HEAD)),
        ], findings: [$heat]);
    }
}

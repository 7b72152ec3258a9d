<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Members\Over;
use Incastro\Measure\Length;
use Incastro\Pieces\Works\Finish;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\When;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Bench\Cushions;
use Incastro\Units\Make\Bench\LeaningBack;
use Incastro\Units\Make\Bench\SeatRoom;
use Incastro\Units\Make\ScribedTop;
use Incastro\Units\MemberUnit;
use Incastro\Units\Sites\MemberSite;

/** A seat that does not open, over boxes or drawers: a board scribed to the walls, with a leaning back where one is wanted, and cushions. */
#[About('bench-seat', 'Bench seat', 'A seat over what stands under it, with a leaning back if wanted.', 'To sit', 'W')]
final readonly class BenchSeat implements MemberUnit
{
    public function __construct(
        #[Size('Stands over the face', ['15', '1/2'], 0, 40)] public Length $overhang,
        #[Size('Cushion, thickness', ['50', '2'], 0, 120, 'None where it is 0.')] public Length $cushion,
        #[Toggle('Leaning back', false)] public bool $back,
        #[Count('Lean of the back, degrees', 12, 0, 20)]
        #[When('back', true)]
        public int $lean,
        #[Size('Height of the back over the seat', ['450', '18'], 250, 700)]
        #[When('back', true)]
        public Length $high,
        #[Toggle('It goes on over the bench round the corner', false, 'Up to the back there, which leans as much.')]
        #[When('back', true)]
        public bool $round,
        #[Made('Made of', Purpose::Top)] public ?string $made = null,
    ) {
    }

    public function form(): MemberForm
    {
        return MemberForm::Over;
    }

    public function demand(HouseRules $rules, Catalogue $materials): MemberDemand
    {
        return new MemberDemand($materials->using(Purpose::Top, $this->made)->for(Purpose::Top)->thickness, $this->overhang);
    }

    public function build(MemberSite $site): Assembly
    {
        $top = $site->place;
        if (! $top instanceof Over) {
            return new Assembly([]);
        }
        $site = $site->madeOf(Purpose::Top, $this->made);
        $seat = (new ScribedTop($site, $top))->board('seat', 'Seat', Finish::Banded);
        $z = $top->z + $seat->piece->thickness->toDouble();
        $parts = [new Assembly([$seat], array_map(fn (string $carrier) => new Joint($carrier, $seat->piece->key, JointKind::Screws, 'seat from below'), $top->carriers))];
        $back = $this->back ? new LeaningBack($site, $top, $z, $this->lean, $this->high, $this->round) : null;
        $room = new SeatRoom($site, $top, $z);
        $eaten = $back === null ? [] : $room->eaten($back);
        if ($back !== null && $eaten === []) {
            $parts[] = $back->build($seat);
        }
        $behind = $back === null || $eaten !== [] ? $room->taken() : $back->face;

        return Assembly::all(...[...$parts, (new Cushions($site, $top))->build($this->cushion, $z, $behind, null), new Assembly([], findings: [...$eaten, ...$room->findings($this->cushion)])]);
    }
}

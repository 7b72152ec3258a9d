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
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Desk\KneeFields;
use Incastro\Units\Make\ScribedTop;
use Incastro\Units\MemberUnit;
use Incastro\Units\Sites\MemberSite;

/** A board over boxes and knee spaces, scribed to the wall behind it and to those at its ends; its front edge is straight. */
#[About('worktop', 'Worktop', 'A board over what stands under it, cut to the walls.', 'Boards', 'W')]
final readonly class Worktop implements MemberUnit
{
    public function __construct(
        #[Size('Stands over the face', Rule::WorktopOverhang, 0, 400)] public Length $overhang,
        #[Toggle('Cleats on the walls over knees', true, 'Where nothing stands under it.')] public bool $cleats,
        #[Toggle('A side under an end that nothing carries', true)] public bool $sides,
        #[Size('Strip under its front over knees, height', ['0', '0'], 0, 150, 'None where it is 0.')] public Length $strip,
        #[Toggle('Cable hole over knees', false)] public bool $hole,
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
        $site = $site->madeOf(Purpose::Top, $this->made);
        $worktop = $site->place;
        if (! $worktop instanceof Over) {
            return new Assembly([]);
        }
        $placed = (new ScribedTop($site, $worktop))->board('top', 'Worktop', Finish::Straight);
        $knees = new KneeFields($site, $worktop);
        $placed = $this->hole ? $knees->bored($placed) : $placed;

        return Assembly::all(
            new Assembly([$placed], array_map(fn (string $top) => new Joint($top, $placed->piece->key, JointKind::Screws, 'worktop from below'), $worktop->carriers)),
            $knees->build($placed, $this->cleats, $this->sides, $this->strip, $this->hole),
        );
    }
}

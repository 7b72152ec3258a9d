<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\FittedSurface;
use Incastro\Fit\Holds\StandsBeforeWall;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\Unless;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Make\Screws;
use Incastro\Units\Make\Wall\BattenFrame;
use Incastro\Units\Make\Wall\OpeningLining;
use Incastro\Units\Make\Wall\PlateFrame;
use Incastro\Units\Make\Wall\RoughOpening;
use Incastro\Units\Make\Wall\Skin;
use Incastro\Units\Make\Wall\Sticks;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;
use Incastro\Units\WallFrame;
use Incastro\Units\WallHole;

/**
 * A wall framed out from a wall, with a niche or an electric fire in it, or open round the window or the door behind it: F = f + skin is its finished plane. What touches the wall behind
 * runs level and takes every stud there, wherever it stands; the new uprights follow the boards of the skin. A fire needs
 * f ≥ its depth + the air behind it − skin − cladding, by its maker's sheet.
 */
#[About('feature-wall', 'Wall before a wall', 'A framed wall with a niche, an electric fire, or open round a window or a door, that bookcases may stand beside.', 'On a wall', 'F')]
final readonly class FeatureWall implements StandsBeforeWall, SurfaceUnit
{
    /** The frame of rails and uprights serves up to so much more than both are deep, mm and inches. */
    private const PACKED = [25.0, 1.0];

    /** A timber of the frame is so thick at least, mm and inches. */
    private const TIMBER = [28.0, 1.0];

    /** A side so far off the wall beside it is seen, mm. */
    private const OFF = 30.0;

    /** Shims round the lining of a niche, mm and inches; a fire's has none. */
    private const SHIM = [3.0, 1 / 8];

    /** A fire's foot over the floor, and a niche's, mm and inches. */
    private const FOOT = [[500.0, 20.0], [1100.0, 44.0]];

    public function __construct(
        #[Choice('Framed with', WallFrame::Auto)] public WallFrame $frame,
        #[Choice('Opened for', WallHole::None)] public WallHole $hole,
        #[Size('Width, in the middle of the wall', null, 600, 6000, 'As wide as the wall, where nothing is given.')] public ?Length $long,
        #[Size('Depth of the frame', ['100', '4'], 38, 450, 'For a fire it is worked out.')]
        #[Unless('hole', WallHole::Fire)]
        public Length $depth,
        #[Size('Clear width of the opening', null, 100, 2400, 'Of a fire: the cut-out on its sheet, exactly. Of a window or a door: as it was measured, where nothing is given.')]
        #[Unless('hole', WallHole::None)]
        public ?Length $wide,
        #[Size('Clear height of the opening', null, 100, 2400, 'Of a fire: the cut-out on its sheet, exactly. Of a window or a door: as it was measured, where nothing is given.')]
        #[Unless('hole', WallHole::None)]
        public ?Length $high,
        #[Size('Its foot over the floor', null, 0, 2000)]
        #[Unless('hole', WallHole::None)]
        public ?Length $foot,
        #[Size('Its left edge from the wall’s left end', null, 0, 6000, 'The middle of the wall, where nothing is given.')]
        #[Unless('hole', WallHole::None)]
        public ?Length $at,
        #[Size('The fire’s depth behind its flange', null, 20, 600, 'From the maker’s sheet.')]
        #[When('hole', WallHole::Fire)]
        public ?Length $fireDepth,
        #[Size('Air behind the fire', null, 0, 300, 'From the maker’s sheet.')]
        #[When('hole', WallHole::Fire)]
        public ?Length $fireAir,
        #[Size('Clear over the fire', null, 0, 1500, 'To wood above it, from the maker’s sheet.')]
        #[When('hole', WallHole::Fire)]
        public ?Length $fireClear,
        #[Toggle('The fire is electric', true)]
        #[When('hole', WallHole::Fire)]
        public bool $electric,
        #[Toggle('Sides that are seen are skinned too', true)] public bool $returned,
        #[Size('Cladding that will lie on it', ['0', '0'], 0, 25)] public Length $cladding,
        #[Size('Width of a board of the skin', ['1200', '47 1/4'], 400, 1250, 'As wide as they go onto the wall, their joints on uprights.')] public Length $board,
        #[Size('Skin over the floor', ['10', '3/8'], 3, 20)] public Length $below,
        #[Size('Skin under the ceiling', ['5', '3/16'], 3, 20)] public Length $above,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        $t = $materials->for(Purpose::Rail)->thickness;
        $wide = $t->times(4)->plus($rules->either(200, 8))->plus($this->clear(0) ?? Length::zero());

        return new SurfaceDemand(
            $this->long === null ? Extent::atLeast($wide, 'the opening, kings and trimmers beside it need %s') : Extent::between($wide, $this->long->isGreaterThan($wide) ? $this->long : $wide, 'the opening, kings and trimmers beside it need %s'),
            Extent::atLeast($rules->either(1000, 40), 'a framed wall is %s high at least'),
            $this->front($materials, $rules)->result->plus($materials->for(Purpose::Lining)->thickness),
        );
    }

    public function carries(): bool
    {
        return true;
    }

    /** What is clear across, or up; null where nothing is opened or nothing was given. */
    private function clear(int $way): ?Length
    {
        return $this->hole === WallHole::None ? null : ($way === 0 ? $this->wide : $this->high);
    }

    /** How far the frame stands out, as deep as what stands in it asks and its timbers are. */
    private function front(Catalogue $materials, HouseRules $rules): Working
    {
        $need = $this->hole === WallHole::Fire && $this->fireDepth !== null
            ? Working::start('depth of the fire', $this->fireDepth)->plus('air behind it', $this->fireAir ?? Length::zero())->minus('skin', $materials->for(Purpose::Lining)->thickness)->minus('cladding', $this->cladding)
            : Working::start('depth of the frame', $this->depth);
        $timber = $materials->for(Purpose::Rail);
        $least = $this->isBattens($need->result, $materials, $rules)
            ? $timber->thickness->times(2)
            : ($timber instanceof Lineal ? $timber->width : $rules->either(63, 2.5));

        return $need->atLeast('its timbers are as deep', $least)->roundedUp($rules->unit->isMetric() ? LengthFormat::millimetres() : LengthFormat::inches(16));
    }

    private function isBattens(Length $need, Catalogue $materials, HouseRules $rules): bool
    {
        return match ($this->frame) {
            WallFrame::Battens => true,
            WallFrame::Plates => false,
            WallFrame::Auto => ! $need->isGreaterThan($materials->for(Purpose::Rail)->thickness->times(2)->plus($rules->either(...self::PACKED))),
        };
    }

    public function build(SurfaceSite $site): Assembly
    {
        $terms = $site->terms;
        $id = $site->place->surface->id;
        $timber = $terms->materials->for(Purpose::Rail)->thickness;
        $thinnest = $terms->rules->either(...self::TIMBER);
        if ($timber->isLessThan($thinnest)) {
            // All that is missing is said at once: what would be found behind it is known already.
            return new Assembly([], findings: [...$this->boards($site), ...$this->opening($site)[1], Finding::clash(Code::PostThin, sprintf('The frame of %s would be of timbers %s thick; a wall is framed of %s at least.', $site->place->mark, $terms->format->write($timber), $terms->format->write($thinnest)), $id)->withWaysOut([WayOut::ofJob('Take timber for studs to the materials', Edits::usualMaterial(Purpose::Rail)), new WayOut('Take it away', Edits::withoutSurface($id))])]);
        }
        [$hole, $findings] = $this->opening($site);
        $wide = $site->place->width->roundedDown($terms->format);
        $high = $site->place->height->roundedDown($terms->format);
        $front = $this->front($terms->materials, $terms->rules);
        $f = $front->result->toDouble();
        $skinned = new Skin($site, $wide, $high, $this->below, $this->above, $hole);
        $seen = $this->returned ? $this->seen($site) : ['left' => false, 'right' => false];
        [$framed, $within, $begins] = $this->framed($site, $wide, $seen);
        $sticks = new Sticks($framed);
        $pitch = $this->board->dividedBy(3)->toDouble();
        $rough = $hole === null ? null : new RoughOpening($hole->x - $begins, $hole->z, $hole->width, $hole->height, $hole->face);
        $isBattens = $this->isBattens($front->result, $terms->materials, $terms->rules);
        $frame = $isBattens ? (new BattenFrame($sticks, $within, $high, $f, $pitch, $rough, $begins))->build() : (new PlateFrame($sticks, $within, $high, $f, $pitch, $rough, $begins))->build();
        $skin = [...$skinned->build($f, $this->board), ...$skinned->returns($seen, $front)];
        $lining = $hole === null ? [] : $this->lining($site, $hole, $f, $isBattens ? 0.0 : $f - $sticks->wide->toDouble());
        $joints = [];
        foreach ($skin as $board) {
            foreach (array_filter($frame, fn (Placed $stick) => $stick->touches($board, Joinery::TOUCH)) as $stick) {
                $joints[] = new Joint($board->piece->key, $stick->piece->key, JointKind::Nails, 'skin of the wall');
            }
        }

        return new Assembly([...$frame, ...$lining, ...$skin], $joints, $this->hardware($site, $frame, $skin), ['Front of the frame, '.$site->place->mark => $front, 'Finished plane, '.$site->place->mark => $front->plus('skin', $terms->materials->for(Purpose::Lining)->thickness)->plus('cladding', $this->cladding)], [
            ...$findings,
            ...$hole === null ? [] : $this->boards($site),
            Finding::note(Code::Caution, 'Before it is built: ask what runs in the floor and in the wall behind, and find every stud there. Where the floor floats it is cut through behind the new skirting and taken out below the wall.', $id),
            ...($this->hole === WallHole::Fire ? [Finding::note(Code::Caution, 'A fire’s clearances, its air and its outlet are those of its maker’s sheet and the local rules; a new outlet is an electrician’s work, with a switch that stays in reach.', $id)] : []),
        ]);
    }

    /** @return array{left: bool, right: bool} its sides that stand off the walls beside it */
    private function seen(SurfaceSite $site): array
    {
        $place = $site->place;
        $z = $place->z + $place->height->result->toDouble() / 2;

        return ['left' => $place->u - max(0.0, $place->frame->leftAt(0.0, $z)) > self::OFF, 'right' => min($place->frame->length(), $place->frame->rightAt(0.0, $z)) - $place->end() > self::OFF];
    }

    /**
     * Where its frame stands, as much narrower as the returns of its skin are thick.
     *
     * @param  array{left: bool, right: bool}  $seen
     * @return array{SurfaceSite, Working, float} its place, its width, and how far behind the edge of the skin it begins
     */
    private function framed(SurfaceSite $site, Working $wide, array $seen): array
    {
        $skin = $site->terms->materials->for(Purpose::Lining)->thickness;
        $count = count(array_filter($seen));
        if ($count === 0) {
            return [$site, $wide, 0.0];
        }
        $begins = $seen['left'] ? $skin->toDouble() : 0.0;
        $within = $wide->minusTimes('returns of the skin', $count, $skin);

        return [$site->placedOtherwise(['u' => $site->place->u + $begins, 'width' => $within]), $within, $begins];
    }

    /** @return array{RoughOpening|null, list<Finding>} */
    private function opening(SurfaceSite $site): array
    {
        if ($this->hole === WallHole::None) {
            return [null, []];
        }
        $terms = $site->terms;
        $id = $site->place->surface->id;
        $away = new WayOut('Build it without an opening', Edits::surface($id)->setting(['hole' => WallHole::None->value]));
        $isFire = $this->hole === WallHole::Fire;
        if ($isFire && ! $this->electric) {
            return [null, [Finding::clash(Code::NotElectric, 'A burning fire is not framed in by this program: that is for licensed people.', $id)->withWaysOut([$away])]];
        }
        $missing = array_keys(array_filter([
            'the width of the opening' => $this->wide === null, 'its height' => $this->high === null,
            'the depth of the fire' => $isFire && $this->fireDepth === null, 'the air behind it' => $isFire && $this->fireAir === null, 'what is clear over it' => $isFire && $this->fireClear === null,
        ]));
        if ($this->hole->thing() !== null) {
            $hole = $this->behind($site, $this->hole->thing());
            if ($hole === null) {
                return [null, [Finding::clash(Code::NothingBehind, sprintf('No %s stands behind %s: note it on its wall in the tape book.', $this->hole === WallHole::Window ? 'window' : 'door', $site->place->mark), $id)->withWaysOut([$away])]];
            }

            return $this->inFrame($site, $hole, $away);
        }
        if ($this->wide === null || $this->high === null || $missing !== []) {
            return [null, [Finding::clash(Code::FireSheetMissing, sprintf($isFire ? 'The maker’s sheet of the fire is needed first: %s.' : 'The niche of %2$s needs its sizes first: %1$s.', implode(', ', $missing), $site->place->mark), $id)->withWaysOut([$away])]];
        }

        return $this->inFrame($site, $this->rough($site->place, $terms, $this->wide, $this->high), $away);
    }

    /**
     * The opening, where the timbers round it have room.
     *
     * @return array{RoughOpening|null, list<Finding>}
     */
    private function inFrame(SurfaceSite $site, RoughOpening $hole, WayOut $away): array
    {
        $terms = $site->terms;
        $id = $site->place->surface->id;
        $t = $terms->materials->for(Purpose::Rail)->thickness->toDouble();
        [$wide, $high] = [$site->place->width->result->toDouble(), $site->place->height->result->toDouble()];
        // Kings, trimmers and the end studs stand beside it, headers and the head plate over it, plate and sill below.
        $short = max(3 * $t - $hole->x, $hole->right() + 3 * $t - $wide, $hole->head() + 4 * $t - $high, $hole->z < 1e-6 ? 0.0 : 3 * $t - $hole->z);

        return $short <= 1e-6 ? [$hole, []] : [null, [Finding::clash(Code::OpeningTight, sprintf('The opening of %s leaves %s too little for the timbers beside, over or under it.', $site->place->mark, $terms->write($short)), $id)->withWaysOut([new WayOut('Put it in the middle', Edits::surface($id)->setting(['at' => null, 'foot' => null])), $away])]];
    }

    /** The hole round a window or a door: its lining ends where that begins; a door is walked through. */
    private function behind(SurfaceSite $site, ThingKind $kind): ?RoughOpening
    {
        [$terms, $place] = [$site->terms, $site->place];
        $within = array_filter($site->things($kind), fn (array $one) => $one[1]->u1 > $place->u && $one[1]->u0 < $place->end());
        $block = array_values($within)[0][1] ?? null;
        if ($block === null) {
            return null;
        }
        $around = $terms->materials->for($this->lined())->thickness->plus($this->shim($terms->rules));
        $wide = ($this->wide ?? Length::ofDouble($block->u1 - $block->u0))->plus($around->times(2))->roundedUp($terms->format->step);
        $isPassage = $this->hole === WallHole::Passage;
        $high = ($this->high ?? Length::ofDouble($isPassage ? $block->z1 - $place->z : $block->z1 - $block->z0))->plus($isPassage ? $around : $around->times(2))->roundedUp($terms->format->step);
        $x = $this->at?->toDouble() ?? ($block->u0 + $block->u1 - $wide->toDouble()) / 2 - $place->u;
        $z = $isPassage ? 0.0 : $this->foot?->toDouble() ?? ($block->z0 + $block->z1 - $high->toDouble()) / 2 - $place->z;

        return new RoughOpening($x, $z, $wide->toDouble(), $high->toDouble(), max(0.0, $block->v1 - $place->v));
    }

    private function shim(HouseRules $rules): Length
    {
        return $this->hole === WallHole::Fire ? Length::zero() : $rules->either(...self::SHIM);
    }

    private function lined(): Purpose
    {
        return $this->hole === WallHole::Fire ? Purpose::FireBoard : Purpose::Frame;
    }

    /** @return list<Placed> */
    private function lining(SurfaceSite $site, RoughOpening $hole, float $front, float $back): array
    {
        $skin = $site->terms->materials->for(Purpose::Lining)->thickness;
        $thick = $site->terms->materials->back->thickness->toDouble();
        $isNiche = $this->hole === WallHole::Niche;
        // A niche keeps room for its back before the wall; round what stands behind the lining reaches to that.
        $from = match (true) {
            $this->hole->thing() !== null => $hole->face,
            $isNiche => max($back, $thick),
            default => $back,
        };
        $deep = Working::start('framing in front of its back', Length::ofDouble($front - $from))->plus('skin', $skin);

        return (new OpeningLining($site, $hole, $this->shim($site->terms->rules), $this->lined()))->build($from, $deep, $isNiche);
    }

    /**
     * Whether what lines a fire may burn.
     *
     * @return list<Finding>
     */
    private function boards(SurfaceSite $site): array
    {
        $materials = $site->terms->materials;

        return $this->hole !== WallHole::Fire || $materials->for(Purpose::FireBoard)->wood === null ? [] : [
            Finding::clash(Code::CombustibleLining, sprintf('%s would line the fire: choose a board that does not burn for “%s”, under the materials of the job.', $materials->for(Purpose::FireBoard)->name, Purpose::FireBoard->label()), $site->place->surface->id)
                ->withWaysOut([WayOut::ofJob('Take cement board to the materials', Edits::usualMaterial(Purpose::FireBoard)), new WayOut('Build it without an opening', Edits::surface($site->place->surface->id)->setting(['hole' => WallHole::None->value]))]),
        ];
    }

    /**
     * @param  list<Placed>  $frame
     * @param  list<Placed>  $skin
     * @return list<Hardware>
     */
    private function hardware(SurfaceSite $site, array $frame, array $skin): array
    {
        $screws = new Screws($site->terms->materials, $site->terms->format);
        $onWall = array_filter($frame, fn (Placed $one) => preg_match('/:(rail-|wall-rail)/', $one->piece->key) === 1);
        $between = count(array_filter($frame, fn (Placed $one) => preg_match('/:(rail-|wall-rail|pack-)/', $one->piece->key) !== 1));
        $timber = $site->terms->materials->for(Purpose::Rail)->thickness->toDouble();
        $edge = $site->terms->rules->either(150, 6)->toDouble();
        $each = array_map(fn (Placed $one) => (int) ceil(2 * ($one->piece->length->result->toDouble() + $one->piece->width->result->toDouble()) / $edge + $one->piece->length->result->toDouble() / $edge), $skin);

        return [
            // They go through what packs a rail as well.
            ...array_map(fn (Placed $one) => $screws->toStudsPast($one->bounds->v1 - $site->place->v, $screws->toStuds($one->piece, '')->quantity, 'frame of the wall'), array_values($onWall)),
            $screws->toStudsPast($timber, 4 * $between, 'frame of the wall'),
            $screws->toTimber($site->terms->materials->for(Purpose::Lining)->thickness->toDouble(), (int) array_sum($each), 'skin of the wall'),
        ];
    }

    /**
     * The clear place of its niche, from its own left and foot: x and z, mm, width and height; null where it has none.
     *
     * @return array{float, float, Length, Length}|null
     */
    public function niche(FittedSurface $place, Terms $terms): ?array
    {
        $hole = $this->hole !== WallHole::Niche || $this->wide === null || $this->high === null ? null : $this->rough($place, $terms, $this->wide, $this->high);
        $around = $terms->materials->for($this->lined())->thickness->plus($this->shim($terms->rules))->toDouble();

        return $hole === null || $this->wide === null || $this->high === null ? null : [$hole->x + ($hole->width - $this->wide->toDouble()) / 2, $hole->z + $around, $this->wide, $this->high];
    }

    /** The hole that its opening needs in the frame, in the middle or where it was put. */
    private function rough(FittedSurface $place, Terms $terms, Length $wide, Length $high): RoughOpening
    {
        $around = $terms->materials->for($this->lined())->thickness->plus($this->shim($terms->rules))->times(2);
        $width = $wide->plus($around)->roundedUp($terms->format->step);
        $height = $high->plus($around)->roundedUp($terms->format->step);
        $x = $this->at ?? $place->width->result->minus($width)->dividedBy(2)->roundedDown($terms->format->step);
        $z = $this->foot ?? $terms->rules->either(...self::FOOT[$this->hole === WallHole::Fire ? 0 : 1]);

        return new RoughOpening($x->toDouble(), $z->toDouble(), $width->toDouble(), $height->toDouble());
    }

    /** How high over the foot of the wall wood may begin over its fire; null where there is none, or nobody read its sheet. */
    public function woodOver(HouseRules $rules, Catalogue $materials): ?Length
    {
        if ($this->hole !== WallHole::Fire || $this->high === null || $this->fireClear === null) {
            return null;
        }

        return ($this->foot ?? $rules->either(...self::FOOT[0]))->plus($materials->for(Purpose::FireBoard)->thickness)->plus($this->high)->plus($this->fireClear);
    }
}

<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Holds\AsksOfRoom;
use Incastro\Fit\Holds\StandsBeforeWall;
use Incastro\Geometry\Block;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\OpenedThrough;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Asked;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Screws;
use Incastro\Units\Make\Wall\PanelFrame;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\PostFoot;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;

/**
 * A low wall that stands out from a wall: posts at equal distances, panels framed between them on a sole, a ledge on top.
 * b = (L − (n + 1)·a)/n clear between n + 1 posts. A push of 500 N at its head is held by the feet of the posts that stand free.
 */
#[About('half-wall', 'Half wall', 'A low wall with posts and panels that stands out from a wall.', 'On a wall', 'Y')]
final readonly class HalfWall implements StandsBeforeWall, SurfaceUnit, AsksOfRoom
{
    /** As many panels as are no wider than this, mm and inches. */
    private const PANEL = [800.0, 32.0];

    /** Longer than this without a return it shakes, mm and inches. */
    private const FREE = [1500.0, 60.0];

    /** A panel's play at each side, mm and inches. */
    private const PLAY = [1.0, 1 / 16];

    /** A person pushes at the head with so much, N. */
    private const PUSH = 500.0;

    /** A post is so much wider than panel and frames, mm. */
    private const POST_OVER = 6.0;

    /** Two screws of a sole are no farther apart, mm and inches. */
    private const SOLE = [400.0, 16.0];

    /** What is screwed to a stud lies no farther beside it, mm. */
    private const STUD = 40.0;

    /** Screws through the wall post. */
    private const POST = 3;

    public function __construct(
        #[Size('How far it stands out', ['1000', '40'], 300, 2400)] public Length $long,
        #[Size('Height', ['1000', '40'], 600, 1200)] public Length $high,
        #[Count('Panels', 0, 0, 4, '0: as many as are no wider than 800 mm or 32 in.')] public int $panels,
        #[Size('Width of the frames', ['60', '2 1/2'], 45, 90)] public Length $strip,
        #[Toggle('Framed on both faces', true)] public bool $both,
        #[Toggle('Frames mitred', true)] public bool $mitred,
        #[Size('Ledge over the free end', ['20', '3/4'], 0, 60)] public Length $over,
        #[Size('Ledge over both faces', ['25', '1'], 0, 60)] public Length $beside,
        #[Choice('Free posts are held by', PostFoot::Bolts)] public PostFoot $foot,
        #[Toggle('A return or a gate post holds its free end', false)] public bool $returned,
    ) {
    }

    public function asks(): Asked
    {
        return Asked::Walls;
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        $wide = self::section($materials, $rules)[0];

        return new SurfaceDemand(Extent::between($wide, $wide, 'its posts are %s'), Extent::between($this->high, $this->high, 'it is %s high'), $this->long->plus($this->over));
    }

    public function carries(): bool
    {
        return false;
    }

    /** @return array{Length, Length} how wide a post is along the wall, and out from it */
    private static function section(Catalogue $materials, HouseRules $rules): array
    {
        $post = $materials->for(Purpose::Post);

        return [$post->thickness, $post instanceof Lineal ? $post->width : $rules->either(89, 3.5)];
    }

    public function build(SurfaceSite $site): Assembly
    {
        $terms = $site->terms;
        $id = $site->place->surface->id;
        [$wide, $deep] = self::section($terms->materials, $terms->rules);
        $panel = $terms->materials->for(Purpose::Lining)->thickness;
        $frame = $terms->materials->for(Purpose::Frame)->thickness;
        $least = $panel->plus($frame->times($this->both ? 2 : 1))->plus(Length::ofDouble(self::POST_OVER));
        if ($wide->isLessThan($least)) {
            return new Assembly([], findings: [Finding::clash(Code::PostThin, sprintf('The posts of %s are %s wide; panel and frames between them take %s.', $site->place->mark, $terms->format->write($wide), $terms->format->write($least)), $id)->withWaysOut([WayOut::ofJob('Take timber for posts to the materials', Edits::usualMaterial(Purpose::Post)), ...$this->both ? [new WayOut('Frame one face', Edits::surface($id)->setting(['both' => false]))] : [], new WayOut('Take it away', Edits::withoutSurface($id))])]);
        }
        $ledge = $terms->materials->for(Purpose::Top)->thickness;
        $sole = $terms->materials->for(Purpose::Rail)->thickness;
        $n = $this->count($terms->rules, $deep);
        $clear = Working::start('how far it stands out', $this->long)->minusTimes(sprintf('%d posts', $n + 1), $n + 1, $deep)->dividedBy($n === 1 ? 'one panel' : "$n panels", $n);
        // Both frames and half a panel that is seen between them.
        $least = $this->strip->times(3);
        if ($clear->result->isLessThan($least)) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('Between the posts of %s %s would be left; a panel is %s wide at least.', $site->place->mark, $terms->write(max(0.0, $clear->result->toDouble())), $terms->format->write($least)), $id)
                ->withWaysOut([...$n > 1 ? [new WayOut('As many panels as fit', Edits::surface($id)->setting(['panels' => 0]))] : [], new WayOut('Take it away', Edits::withoutSurface($id))])]);
        }
        $tall = Working::start('height', $this->high)->minus('ledge', $ledge);
        $step = $clear->result->toDouble() + $deep->toDouble();
        $placed = $joints = [];
        for ($i = 0; $i <= $n; $i++) {
            $placed[] = $this->post($site, $tall, $i, $i * $step);
        }
        $frames = new PanelFrame($site, $clear, $tall->minus('sole', $sole), $this->strip, $terms->rules->either(...self::PLAY), $this->mitred);
        for ($i = 0; $i < $n; $i++) {
            $y = $deep->toDouble() + $i * $step;
            $placed[] = $site->placedTo($site->make->inner('sole-'.($i + 1), 'Sole', $clear, Working::start('width of a post', $wide), Purpose::Rail, Grain::Length, [], ['screwed to the floor']), 0.0, $y, 0.0, Way::Out, Way::Right, Way::Up, Part::Cleat);
            array_push($placed, ...$frames->build((string) ($i + 1), $wide->toDouble() / 2, $y, $sole->toDouble(), $this->both ? 2 : 1));
        }
        $top = $this->ledge($site, $wide, $tall);
        foreach (array_slice($placed, 0, $n + 1) as $post) {
            $joints[] = new Joint($top->piece->key, $post->piece->key, JointKind::Screws, 'ledge down into the posts, plugged');
        }

        return new Assembly([...$placed, $top], $joints, $this->hardware($site, $placed[0], $clear, $n), ['Between the posts, '.$site->place->mark => $clear], $this->findings($site, $placed[0], $n));
    }

    private function count(HouseRules $rules, Length $deep): int
    {
        return $this->panels > 0 ? $this->panels : max(1, (int) ceil(($this->long->toDouble() - $deep->toDouble()) / ($rules->either(...self::PANEL)->toDouble() + $deep->toDouble()) - 1e-9));
    }

    private function post(SurfaceSite $site, Working $tall, int $i, float $y): Placed
    {
        $terms = $site->terms;
        $deep = self::section($terms->materials, $terms->rules)[1];
        $length = $tall->roundedDown($terms->format);
        $frame = $site->place->frame;
        $outline = null;
        $works = [new Finished('all four', Finish::Eased)];
        if ($i === 0 && $terms->rules->skirtingStays && $frame->skirtingThickness() > 0.0) {
            $play = $terms->rule(Rule::NotchPlay);
            [$in, $up] = [$frame->skirtingThickness() + $play, $frame->skirtingTop() + $play - $site->place->z];
            $outline = Outline::rectangle(0.0, 0.0, $length->result->toDouble(), $deep->toDouble())->minus(Polygon::rectangle(-1.0, -1.0, $up + 1.0, $in + 1.0))[0] ?? null;
            $works[] = new OpenedThrough(sprintf('its back notched at the foot for the skirting, %s deep and %s high', $terms->write($in), $terms->write($up)));
        }
        $how = $i === 0 ? 'screwed to a stud, its screws counterbored half through; its back scribed to the wall' : 'its foot: '.lcfirst($this->foot->label());
        $piece = $site->make->inner('post-'.($i + 1), $i === 0 ? 'Wall post' : 'Post', $length, Working::start('width of a post', $deep), Purpose::Post, Grain::Length, $works, [$how], $outline);

        return $site->placedTo($piece, 0.0, $y, 0.0, Way::Up, Way::Out, Way::Right, Part::Body);
    }

    private function ledge(SurfaceSite $site, Length $wide, Working $tall): Placed
    {
        $length = Working::start('how far it stands out', $this->long)->plus('over the free end', $this->over);
        $width = Working::start('width of a post', $wide)->plusTimes('over both faces', 2, $this->beside);
        $piece = $site->make->inner('ledge', 'Ledge', $length, $width, Purpose::Top, Grain::Length, [new Finished('both, long', Finish::Eased), new Finished('wall end', Finish::TouchesHouse)], ['screwed down into every post, plugged']);

        return $site->placedTo($piece, ($wide->toDouble() - $piece->width->result->toDouble()) / 2, 0.0, $tall->result->toDouble(), Way::Out, Way::Right, Way::Up, Part::Worktop);
    }

    /** @return list<Hardware> */
    private function hardware(SurfaceSite $site, Placed $wall, Working $clear, int $n): array
    {
        $terms = $site->terms;
        $screws = new Screws($terms->materials, $terms->format);
        $sole = $terms->materials->for(Purpose::Rail)->thickness->toDouble();
        // Counterbored half through the post.
        [$post, $masonry] = [$wall->piece->width->result->toDouble() / 2, $site->masonry()];

        return [
            ...$masonry === null ? [$screws->toStudsPast($post, self::POST, 'half walls')] : $screws->plugged($post, self::POST, $masonry, 'half walls'),
            $screws->toStudsPast($sole, $n * (1 + (int) ceil($clear->result->toDouble() / $terms->rules->either(...self::SOLE)->toDouble())), 'half walls'),
            $this->foot === PostFoot::Bolts ? $screws->structuralPast($sole, 4 * $n, 'posts of half walls') : new Hardware('angle bracket', 4 * $n, 'posts of half walls', ArticleKind::AngleBracket),
        ];
    }

    /** @return list<Finding> */
    private function findings(SurfaceSite $site, Placed $wall, int $n): array
    {
        $terms = $site->terms;
        $id = $site->place->surface->id;
        $findings = [Finding::note(Code::Caution, 'A half wall guards no fall: beside a stair or a lower floor the local code rules. Its soles are screwed to what does not float; ask first what runs in the floor.', $id)];
        $asked = self::PUSH * $this->high->toDouble() / 1000;
        $held = $n * $this->foot->pull() * self::section($terms->materials, $terms->rules)[1]->toDouble() / 1000;
        if ($held < $asked) {
            $findings[] = Finding::clash(Code::HalfWallWeak, sprintf('Somebody who pushes at the head of %s turns it with %d N·m; the feet of its free posts hold %d N·m.', $site->place->mark, (int) round($asked), (int) floor($held)), $id)
                ->withWaysOut([...$this->foot === PostFoot::Bolts ? [] : [new WayOut(PostFoot::Bolts->label(), Edits::surface($id)->setting(['foot' => PostFoot::Bolts->value]))], new WayOut('One more panel, and post', Edits::surface($id)->setting(['panels' => $n + 1])), new WayOut('Take it away', Edits::withoutSurface($id))]);
        }
        if (! $this->returned && $this->long->isGreaterThan($terms->rules->either(...self::FREE))) {
            $findings[] = Finding::warning(Code::FreeEndLong, sprintf('%s of %s stand free: it will shake.', $terms->format->write($this->long), $site->place->mark), $id)->withWaysOut([new WayOut('A return or a gate post holds it', Edits::surface($id)->setting(['returned' => true]))]);
        }

        return [...$findings, ...$this->onStud($site, $wall)];
    }

    /** @return list<Finding> whether its wall post finds a stud */
    private function onStud(SurfaceSite $site, Placed $wall): array
    {
        $id = $site->place->surface->id;
        $middle = ($wall->bounds->u0 + $wall->bounds->u1) / 2;
        $off = array_map(fn (Block $stud): float => max(0.0, $stud->u0 - $middle, $middle - $stud->u1), $site->studs());
        if ($site->masonry() !== null) {
            return [];
        }
        if ($off === []) {
            return [Finding::note(Code::NoStud, sprintf('Find the studs first: the wall post of %s is screwed to one, or plugged into masonry.', $site->place->mark), $id)];
        }
        if (min($off) <= self::STUD) {
            return [];
        }
        $stud = $site->studs()[array_keys($off, min($off), true)[0]];
        $from = Length::ofDouble(max(0.0, ($stud->u0 + $stud->u1) / 2 - ($middle - $wall->bounds->u0)))->rounded($site->terms->format->step);

        return [Finding::clash(Code::NoStud, sprintf('The wall post of %s stands %s beside the nearest stud.', $site->place->mark, $site->terms->write(min($off))), $id)
            ->withWaysOut([new WayOut('Move it to the stud', Edits::surface($id)->measuring('on.from', $from)), new WayOut('Take it away', Edits::withoutSurface($id))])];
    }
}

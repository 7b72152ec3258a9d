<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Invitation;
use App\Models\Job;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** Who works on a job beside its owner: invited by a link, seen by both, let go by the owner, or going by themselves. */
final class HelperController extends Controller
{
    /** Links that wait for somebody, and people who help, at one time. */
    private const MOST = 10;

    private const GONE = 'This link was used already, taken back, or is older than a week. Ask for another.';

    public function index(Request $request, Job $job): JsonResponse
    {
        return response()->json([
            'owner' => $job->home->user->name,
            'is_owner' => $job->home->user_id === $this->person($request)->id,
            'helpers' => $job->helpers->map(fn (User $helper) => ['id' => $helper->id, 'name' => $helper->name, 'is_you' => $helper->id === $this->person($request)->id])->all(),
            'invitations' => Invitation::open()->where('job_id', $job->id)->count(),
        ]);
    }

    /** A link for one person, good once and for some days. */
    public function invite(Job $job): JsonResponse
    {
        $open = Invitation::open()->where('job_id', $job->id)->count();
        abort_if($open + $job->helpers()->count() >= self::MOST, 422, sprintf('%d people and links are as many as one job has. Take links back or let somebody go first.', self::MOST));

        return response()->json(['url' => url('/join').'#'.Invitation::to($job), 'days' => Invitation::DAYS], 201);
    }

    /** Takes back every link that nobody has used yet. */
    public function takeBack(Job $job): Response
    {
        Invitation::query()->where('job_id', $job->id)->delete();

        return response()->noContent();
    }

    /** What a link leads to, before it is used. */
    public function look(Request $request): JsonResponse
    {
        $job = $this->invitation($request)->job;

        return response()->json(['job' => $job->choices['name'], 'owner' => $job->home->user->name]);
    }

    public function join(Request $request): JsonResponse
    {
        $invitation = $this->invitation($request);
        $person = $this->person($request);
        $job = $invitation->job;
        abort_if($person->is_demo, 422, 'Everybody is the demo. Sign in as yourself, then open the link again.');
        abort_if($job->home->user_id === $person->id, 422, 'This is your own job. Send the link to whoever helps you.');
        DB::transaction(function () use ($invitation, $job, $person): void {
            // Two who press at once: the link is used by the one that deletes it.
            abort_if(Invitation::query()->whereKey($invitation->id)->delete() !== 1, 404, self::GONE);
            $job->helpers()->syncWithoutDetaching([$person->id]);
        });

        return response()->json(['id' => $job->id]);
    }

    /** The owner lets somebody go, or a helper goes. What they wrote stays. */
    public function letGo(Request $request, Job $job): Response
    {
        ['id' => $id] = $request->validate(['id' => ['required', 'uuid']]);
        $person = $this->person($request);
        abort_unless($job->home->user_id === $person->id || $id === $person->id, 404);
        $job->helpers()->detach($id);

        return response()->noContent();
    }

    private function invitation(Request $request): Invitation
    {
        ['token' => $token] = $request->validate(['token' => ['required', 'string', 'max:80']]);

        return Invitation::by($token) ?? abort(404, self::GONE);
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Sessions;

use App\Models\Company;
use App\Models\User;
use App\Refusals\Refusal;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Auth\Factory;
use Illuminate\Contracts\Auth\StatefulGuard;
use Illuminate\Contracts\Cookie\QueueingFactory;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Http\Request;

/** Signs people in and out. */
final class SignIn
{
    /** Where the session keeps which of a person's sign-outs it knows of. */
    public const EPOCH = 'epoch';

    /** A device that was let in before keeps a count of its own for each person: nobody else can use it up. */
    private const KNOWN = 'iron_start_known';
    private const KNOWN_MINUTES = 525_600;
    private const KNOWN_PEOPLE = 20;

    /** Wrong tries, and in how many seconds. */
    private const OF_DEVICE = [5, 60];
    private const OF_BOTH = [5, 60];
    private const OF_ACCOUNT = [20, 900];
    private const OF_ADDRESS = [60, 900];
    private const AGENT = 200;
    /** Of no password: a name that does not exist takes as long as a wrong password. */
    private const NOBODYS = '$argon2id$v=19$m=19456,t=2,p=1$bXNoN2lVMldDeWZPaGpNZA$JaYmIsl8st/YEGLx6gO1rC10oZkpj4fwQ6UMkotMx5s';

    public function __construct(private readonly Factory $auth, private readonly Hasher $hasher, private readonly RateLimiter $limiter, private readonly ConnectionInterface $db, private readonly QueueingFactory $cookies)
    {
    }

    /**
     * From a device where this person was let in before, five wrong tries a minute; from any other as many by name and
     * address, and no more than a few by name from everywhere, and by address for all names.
     *
     * @throws Refusal when it was tried too often, or both don't belong together
     */
    public function withPassword(Request $request, string $email, string $password): User
    {
        $email = mb_strtolower($email);
        $person = User::query()->where('email', $email)->first();
        $counts = self::counts($request, $email, $person);
        foreach ($counts as $key => [$tries]) {
            if ($this->limiter->tooManyAttempts($key, $tries)) {
                throw Refusal::tooOften($this->limiter->availableIn($key));
            }
        }
        $right = $this->hasher->check($password, $person->password ?? self::NOBODYS);
        if ($person === null || ! $right || ! $person->is_active) {
            foreach ($counts as $key => [, $seconds]) {
                $this->limiter->hit($key, $seconds);
            }
            if ($person !== null) {
                $this->note($request, $person, 'password', false);
            }
            throw Refusal::wrongSignIn();
        }
        // Those of the account and the address are used up by others too: one who is let in clears their own alone.
        $this->limiter->clear((string) array_key_first($counts));
        if ($this->hasher->needsRehash($person->password)) {
            $person->password = $password;
            $person->save();
        }

        return $this->enter($request, $person, 'password');
    }

    /** @return array<string, array{int, int}> tries and seconds by what is counted */
    private static function counts(Request $request, string $email, ?User $person): array
    {
        [$device, $people] = self::known($request);
        if ($person !== null && in_array($person->id, $people, true)) {
            return ["sign-in:device:$device:$person->id" => self::OF_DEVICE];
        }
        $named = hash('sha256', $email);

        return ["sign-in:both:$named:{$request->ip()}" => self::OF_BOTH, "sign-in:account:$named" => self::OF_ACCOUNT, "sign-in:address:{$request->ip()}" => self::OF_ADDRESS];
    }

    /**
     * What this device's cookie says, which only we can write: its name, and who was let in on it.
     *
     * @return array{string, list<int>}
     */
    private static function known(Request $request): array
    {
        $cookie = $request->cookie(self::KNOWN);
        $told = is_string($cookie) ? json_decode($cookie, true) : null;
        $device = is_array($told) && is_string($told['device'] ?? null) ? $told['device'] : '';
        $people = is_array($told) && is_array($told['people'] ?? null) ? $told['people'] : [];

        return $device === '' ? ['', []] : [$device, array_values(array_filter($people, is_int(...)))];
    }

    private function remember(Request $request, User $person): void
    {
        [$device, $people] = self::known($request);
        $device = $device === '' ? bin2hex(random_bytes(16)) : $device;
        $people = array_slice([$person->id, ...array_diff($people, [$person->id])], 0, self::KNOWN_PEOPLE);
        $this->cookies->queue($this->cookies->make(self::KNOWN, (string) json_encode(['device' => $device, 'people' => $people]), self::KNOWN_MINUTES, null, null, $request->isSecure() || (bool) config('session.secure'), true, false, 'lax'));
    }

    /** With a link that was used just now. */
    public function byLink(Request $request, User $person): void
    {
        $this->enter($request, $person, 'link');
    }

    /** One press, only while the demo is loaded. */
    public function toDemo(Request $request, string $name): User
    {
        foreach ($this->demoPeople() as $person) {
            if ($person->name === $name) {
                return $this->enter($request, $person, 'demo');
            }
        }
        throw Refusal::notFound();
    }

    /** @return list<User> */
    public function demoPeople(): array
    {
        // An instance that once had the demo keeps its people; they sign in as everybody does.
        if (config('iron.demo') !== true) {
            return [];
        }
        $demo = Company::query()->where('is_demo', true)->value('id');

        return $demo === null ? [] : array_values(User::query()->where('company_id', $demo)->where('is_active', true)->orderBy('id')->get()->all());
    }

    /** Whether somebody has put this session out meanwhile, or let the person go. */
    public static function isOver(Request $request, User $person): bool
    {
        return ! $person->is_active || $request->session()->get(self::EPOCH, $person->session_epoch) !== $person->session_epoch;
    }

    public function out(Request $request): void
    {
        $this->guard()->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
    }

    private function enter(Request $request, User $person, string $how): User
    {
        $this->guard()->login($person);
        $request->session()->regenerate();
        $request->session()->put(self::EPOCH, $person->session_epoch);
        $this->remember($request, $person);
        $this->note($request, $person, $how, true);

        return $person;
    }

    /** Every sign-in and every wrong password of somebody known is kept. */
    private function note(Request $request, User $person, string $how, bool $ok): void
    {
        $this->db->table('sign_ins')->insert(['company_id' => $person->company_id, 'user_id' => $person->id, 'at' => now(), 'how' => $how, 'ok' => $ok, 'address' => (string) $request->ip(), 'agent' => mb_substr((string) $request->userAgent(), 0, self::AGENT)]);
    }

    private function guard(): StatefulGuard
    {
        $guard = $this->auth->guard('web');

        return $guard instanceof StatefulGuard ? $guard : throw new \LogicException('The guard keeps no session.');
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Sessions;

use App\Models\Company;
use App\Models\User;
use App\Refusals\Refusal;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Auth\Factory;
use Illuminate\Contracts\Auth\StatefulGuard;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Http\Request;

/** Signs people in and out. */
final class SignIn
{
    /** Where the session keeps which of a person's sign-outs it knows of. */
    public const EPOCH = 'epoch';

    private const TRIES = 5;
    private const WINDOW = 60;
    private const AGENT = 200;

    public function __construct(private readonly Factory $auth, private readonly Hasher $hasher, private readonly RateLimiter $limiter, private readonly ConnectionInterface $db)
    {
    }

    /** @throws Refusal after five wrong tries for a minute, by name and address */
    public function withPassword(Request $request, string $email, string $password): User
    {
        $key = 'sign-in:' . hash('sha256', mb_strtolower($email) . '|' . $request->ip());
        if ($this->limiter->tooManyAttempts($key, self::TRIES)) {
            throw Refusal::tooOften($this->limiter->availableIn($key));
        }
        $person = User::query()->where('email', mb_strtolower($email))->first();
        // A name that does not exist takes as long as a wrong password.
        $right = $this->hasher->check($password, $person->password ?? '$2y$12$NmFxMmd5b2pXb1hTbWx0Z.TQk6r7hQv0Yc3cVnA8m3C4o2zqGQH1i');
        if ($person === null || ! $right || ! $person->is_active) {
            $this->limiter->hit($key, self::WINDOW);
            if ($person !== null) {
                $this->note($request, $person, 'password', false);
            }
            throw Refusal::wrongSignIn();
        }
        $this->limiter->clear($key);

        return $this->enter($request, $person, 'password');
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

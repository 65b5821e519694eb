using System.Security.Cryptography;

namespace BrightKettle.Server.Pairing;

/// <summary>What became of a code that somebody typed.</summary>
public enum CodeAnswer
{
    Right,
    Wrong,

    /// <summary>None is open: never made, used, too old, or guessed at too often.</summary>
    Spent,
}

/// <summary>The one code that is open: six digits, five minutes, one phone, five tries.</summary>
public sealed class PairingCode(TimeProvider clock)
{
    private const int MostTries = 5;
    private static readonly TimeSpan Lives = TimeSpan.FromMinutes(5);

    private readonly Lock _lock = new();
    private string? _code;
    private DateTimeOffset _until;
    private int _tries;

    /// <summary>Makes a new code; the one before is void.</summary>
    public (string Code, DateTimeOffset Until) Make()
    {
        lock (_lock)
        {
            _code = RandomNumberGenerator.GetInt32(1_000_000).ToString("000000", System.Globalization.CultureInfo.InvariantCulture);
            (_until, _tries) = (clock.GetUtcNow() + Lives, 0);
            return (_code, _until);
        }
    }

    public CodeAnswer Try(string typed)
    {
        ArgumentNullException.ThrowIfNull(typed);
        lock (_lock)
        {
            if (_code is null || clock.GetUtcNow() >= _until || _tries >= MostTries)
            {
                _code = null;
                return CodeAnswer.Spent;
            }

            _tries++;
            if (typed.Trim() != _code)
            {
                return CodeAnswer.Wrong;
            }

            _code = null;
            return CodeAnswer.Right;
        }
    }
}

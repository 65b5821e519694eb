namespace BrightKettle.Server.Pairing;

/// <summary>A code to be typed on a phone.</summary>
/// <param name="Code">Eight letters and figures, good for one phone.</param>
/// <param name="Fingerprint">Of the authority that the phone is told to trust.</param>
public sealed record PairingDto(string Code, DateTimeOffset Until, IReadOnlyList<string> Addresses, string Fingerprint);

/// <param name="Name">What the phone is called in the list.</param>
public sealed record PairRequest(string Code, string? Name = null);

/// <param name="LastSeenAt">To the hour.</param>
public sealed record DeviceDto(Guid Id, string Name, DateTimeOffset PairedAt, DateTimeOffset LastSeenAt);

/// <summary>A try to pair that failed.</summary>
/// <param name="From">The address that it came from.</param>
public sealed record AttemptDto(DateTimeOffset At, string From, string Text);

/// <param name="Attempts">The latest first.</param>
/// <param name="PageToken">To be sent back when a code is asked for.</param>
public sealed record PairedDto(IReadOnlyList<DeviceDto> Devices, IReadOnlyList<AttemptDto> Attempts, string PageToken);

/// <param name="PageToken">As the list of devices carries it.</param>
public sealed record CodeRequest(string PageToken);

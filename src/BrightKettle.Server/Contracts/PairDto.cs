namespace BrightKettle.Server.Contracts;

/// <summary>A code to be typed on a phone.</summary>
/// <param name="Code">Six digits, good for one phone.</param>
/// <param name="Fingerprint">Of the authority that the phone is told to trust.</param>
public sealed record PairingDto(string Code, DateTimeOffset Until, IReadOnlyList<string> Addresses, string Fingerprint);

/// <param name="Name">What the phone is called in the list.</param>
public sealed record PairRequest(string Code, string? Name = null);

public sealed record DeviceDto(Guid Id, string Name, DateTimeOffset PairedAt);

using System.Formats.Asn1;
using System.Net;
using System.Security.Cryptography.X509Certificates;

namespace BrightKettle.Server.Pairing;

/// <summary>What the household's authority may sign for: this machine's own names and private addresses. Whoever got hold of its key
/// could pretend to be nobody else.</summary>
internal static class CertificateNames
{
    private const string ConstraintId = "2.5.29.30";

    /// <summary>Private and own addresses (RFC 1918, RFC 3927, loopback).</summary>
    private static readonly IPNetwork[] Networks =
    [
        IPNetwork.Parse("10.0.0.0/8"),
        IPNetwork.Parse("172.16.0.0/12"),
        IPNetwork.Parse("192.168.0.0/16"),
        IPNetwork.Parse("169.254.0.0/16"),
        IPNetwork.Parse("127.0.0.0/8"),
    ];

    /// <summary>Names under which this machine is found at home.</summary>
    public static IReadOnlyList<string> Dns()
    {
        var host = System.Net.Dns.GetHostName();
        return [.. new[] { "localhost", host, $"{host.Split('.')[0]}.local" }.Distinct(StringComparer.OrdinalIgnoreCase)];
    }

    public static bool Holds(IPAddress address) => Networks.Any(n => n.Contains(address));

    /// <summary>The name constraints of RFC 5280, section 4.2.1.10: only what is listed is permitted.</summary>
    public static X509Extension Constraint()
    {
        var writer = new AsnWriter(AsnEncodingRules.DER);
        using (writer.PushSequence())
        using (writer.PushSequence(new Asn1Tag(TagClass.ContextSpecific, 0, true)))
        {
            foreach (var name in Dns())
            {
                using (writer.PushSequence())
                {
                    writer.WriteCharacterString(UniversalTagNumber.IA5String, name, new Asn1Tag(TagClass.ContextSpecific, 2));
                }
            }

            foreach (var network in Networks)
            {
                using (writer.PushSequence())
                {
                    var mask = uint.MaxValue << (32 - network.PrefixLength);
                    writer.WriteOctetString(
                        [.. network.BaseAddress.GetAddressBytes(), (byte)(mask >> 24), (byte)(mask >> 16), (byte)(mask >> 8), (byte)mask],
                        new Asn1Tag(TagClass.ContextSpecific, 7)
                    );
                }
            }
        }

        return new X509Extension(ConstraintId, writer.Encode(), critical: true);
    }

    /// <summary>Whether an authority is bound to just this: one of an older make is not, nor one of a machine that was renamed.</summary>
    public static bool Bind(X509Certificate2 authority) =>
        authority.Extensions.FirstOrDefault(e => e.Oid?.Value == ConstraintId) is { Critical: true } found
        && found.RawData.AsSpan().SequenceEqual(Constraint().RawData);
}

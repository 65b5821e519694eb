using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;

namespace BrightKettle.Server.Pairing;

/// <summary>A certificate made here: an authority of this household's own, which phones are told to trust, and one for this machine signed by it.</summary>
/// <remarks>Browsers give a locked screen, notifications and offline pages only to origins whose certificate they trust.</remarks>
public sealed class LanCertificate
{
    /// <summary>Phones refuse a server's certificate that runs longer than 398 days.</summary>
    private const int ServerDays = 390;
    private const int AuthorityYears = 10;
    private const UnixFileMode OwnerOnly = UnixFileMode.UserRead | UnixFileMode.UserWrite;

    private LanCertificate(X509Certificate2 authority, X509Certificate2 server) => (Authority, Server) = (authority, server);

    public X509Certificate2 Authority { get; }

    public X509Certificate2 Server { get; }

    /// <summary>The authority as phones take it: its public part alone.</summary>
    public string AuthorityPem => Authority.ExportCertificatePem();

    /// <summary>To be compared by eye, in groups of four.</summary>
    public string Fingerprint => string.Join(' ', Authority.GetCertHashString(HashAlgorithmName.SHA256).Chunk(4).Take(8).Select(c => new string(c)));

    /// <summary>Reads the authority of this folder, or makes it; the server's certificate is made anew each time, for the addresses that the machine has now.</summary>
    /// <param name="folder">Closed to others; the key file is readable by its owner alone.</param>
    public static LanCertificate In(string folder, DateTimeOffset now)
    {
        var file = Path.Combine(folder, "authority.pem");
        var authority = File.Exists(file) ? X509Certificate2.CreateFromPem(File.ReadAllText(file), File.ReadAllText(file)) : null;
        if (authority is null || authority.NotAfter.ToUniversalTime() < now.UtcDateTime.AddDays(ServerDays + 1))
        {
            authority = MakeAuthority(now);
            using (File.Create(file))
            {
            }

            File.SetUnixFileMode(file, OwnerOnly);
            File.WriteAllText(file, $"{authority.ExportCertificatePem()}\n{authority.GetECDsaPrivateKey()!.ExportPkcs8PrivateKeyPem()}\n");
        }

        return new(authority, MakeServer(authority, now));
    }

    /// <summary>Where phones find this machine: its addresses on the networks that it is in.</summary>
    public static IReadOnlyList<IPAddress> Addresses() =>
    [
        .. NetworkInterface.GetAllNetworkInterfaces()
            .Where(n => n.OperationalStatus == OperationalStatus.Up && n.NetworkInterfaceType != NetworkInterfaceType.Loopback)
            .SelectMany(n => n.GetIPProperties().UnicastAddresses)
            .Select(a => a.Address)
            .Where(a => a.AddressFamily == AddressFamily.InterNetwork),
    ];

    private static X509Certificate2 MakeAuthority(DateTimeOffset now)
    {
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest("CN=Bright Kettle of this household", key, HashAlgorithmName.SHA256);
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(true, true, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.KeyCertSign | X509KeyUsageFlags.CrlSign, true));
        request.CertificateExtensions.Add(new X509SubjectKeyIdentifierExtension(request.PublicKey, false));
        using var made = request.CreateSelfSigned(now.AddDays(-1), now.AddYears(AuthorityYears));
        return X509Certificate2.CreateFromPem(made.ExportCertificatePem(), key.ExportPkcs8PrivateKeyPem());
    }

    private static X509Certificate2 MakeServer(X509Certificate2 authority, DateTimeOffset now)
    {
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest("CN=Bright Kettle", key, HashAlgorithmName.SHA256);
        var names = new SubjectAlternativeNameBuilder();
        names.AddDnsName("localhost");
        names.AddDnsName(Dns.GetHostName());
        names.AddIpAddress(IPAddress.Loopback);
        foreach (var address in Addresses())
        {
            names.AddIpAddress(address);
        }

        request.CertificateExtensions.Add(names.Build());
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(false, false, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.DigitalSignature, true));
        request.CertificateExtensions.Add(new X509EnhancedKeyUsageExtension([new Oid("1.3.6.1.5.5.7.3.1")], false));
        using var made = request.Create(authority, now.AddDays(-1), now.AddDays(ServerDays), RandomNumberGenerator.GetBytes(16));
        // Kestrel wants a key that lives beside its certificate.
        using var whole = made.CopyWithPrivateKey(key);
        return X509CertificateLoader.LoadPkcs12(whole.Export(X509ContentType.Pkcs12), null);
    }
}

using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using BrightKettle.Data;

namespace BrightKettle.Server.Pairing;

/// <summary>A certificate made here: an authority of this household's own, which phones are told to trust, and one for this machine
/// signed by it.</summary>
/// <remarks>Browsers give a locked screen, notifications and offline pages only to origins whose certificate they trust.</remarks>
public sealed class LanCertificate
{
    /// <summary>Phones refuse a server's certificate that runs longer than 398 days.</summary>
    private const int ServerDays = 390;

    /// <summary>Phones have to trust a new one after this: long enough not to be a nuisance, short enough that a lost key does not matter
    /// for ever.</summary>
    private const int AuthorityDays = 730;

    /// <summary>A new one is made when so little is left of the old.</summary>
    private const int RenewDays = 60;

    private const UnixFileMode OwnerOnly = UnixFileMode.UserRead | UnixFileMode.UserWrite;

    private LanCertificate(X509Certificate2 authority, X509Certificate2 server) => (Authority, Server) = (authority, server);

    public X509Certificate2 Authority { get; }

    public X509Certificate2 Server { get; }

    /// <summary>The authority as phones take it: its public part alone.</summary>
    public string AuthorityPem => Authority.ExportCertificatePem();

    /// <summary>To be compared by eye, in groups of four.</summary>
    public string Fingerprint =>
        string.Join(' ', Authority.GetCertHashString(HashAlgorithmName.SHA256).Chunk(4).Take(8).Select(c => new string(c)));

    /// <summary>Reads the authority of this folder, or makes it: the first time, when little is left of it, and when it could sign for
    /// more than this household. The server's certificate is made anew each time, for the addresses that the machine has now.</summary>
    /// <param name="folder">The key file in it is readable by its owner alone.</param>
    /// <exception cref="DataFaultException">There is a file, and it is no authority.</exception>
    public static LanCertificate In(string folder, DateTimeOffset now)
    {
        var file = Path.Combine(folder, "authority.pem");
        var authority = File.Exists(file) ? Read(file) : null;
        if (
            authority is null
            || authority.NotAfter.ToUniversalTime() < now.UtcDateTime.AddDays(RenewDays)
            || !CertificateNames.Bind(authority)
        )
        {
            authority = MakeAuthority(now);
            Write(file, $"{authority.ExportCertificatePem()}\n{authority.GetECDsaPrivateKey()!.ExportPkcs8PrivateKeyPem()}\n");
        }

        return new(authority, MakeServer(authority, now));
    }

    private static X509Certificate2 Read(string file)
    {
        try
        {
            var pem = File.ReadAllText(file);
            var read = X509Certificate2.CreateFromPem(pem, pem);
            return read.GetECDsaPrivateKey() is null ? throw new CryptographicException("No key of this kind.") : read;
        }
        catch (Exception damaged) when (damaged is CryptographicException or ArgumentException)
        {
            throw new DataFaultException(DataFaultKind.Certificate, file, inner: damaged);
        }
    }

    /// <summary>Whole, or not at all: the key gets its name when it is on the disk, and is never readable by others.</summary>
    private static void Write(string file, string pem)
    {
        var made = file + ".new";
        File.Delete(made);
        using (
            var stream = new FileStream(
                made,
                new FileStreamOptions
                {
                    Mode = FileMode.CreateNew,
                    Access = FileAccess.Write,
                    UnixCreateMode = OwnerOnly,
                }
            )
        )
        {
            stream.Write(System.Text.Encoding.ASCII.GetBytes(pem));
            stream.Flush(flushToDisk: true);
        }

        File.Move(made, file, overwrite: true);
    }

    /// <summary>Where phones find this machine: its addresses on the networks that it is in.</summary>
    public static IReadOnlyList<IPAddress> Addresses() =>
        [
            .. NetworkInterface
                .GetAllNetworkInterfaces()
                .Where(n => n.OperationalStatus == OperationalStatus.Up && n.NetworkInterfaceType != NetworkInterfaceType.Loopback)
                .SelectMany(n => n.GetIPProperties().UnicastAddresses)
                .Select(a => a.Address)
                .Where(a => a.AddressFamily == AddressFamily.InterNetwork && CertificateNames.Holds(a)),
        ];

    private static X509Certificate2 MakeAuthority(DateTimeOffset now)
    {
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest("CN=Bright Kettle of this household", key, HashAlgorithmName.SHA256);
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(true, true, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.KeyCertSign | X509KeyUsageFlags.CrlSign, true));
        request.CertificateExtensions.Add(new X509SubjectKeyIdentifierExtension(request.PublicKey, false));
        request.CertificateExtensions.Add(CertificateNames.Constraint());
        using var made = request.CreateSelfSigned(now.AddDays(-1), now.AddDays(AuthorityDays));
        return X509Certificate2.CreateFromPem(made.ExportCertificatePem(), key.ExportPkcs8PrivateKeyPem());
    }

    private static X509Certificate2 MakeServer(X509Certificate2 authority, DateTimeOffset now)
    {
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest("CN=Bright Kettle", key, HashAlgorithmName.SHA256);
        var names = new SubjectAlternativeNameBuilder();
        foreach (var name in CertificateNames.Dns())
        {
            names.AddDnsName(name);
        }

        names.AddIpAddress(IPAddress.Loopback);
        foreach (var address in Addresses())
        {
            names.AddIpAddress(address);
        }

        request.CertificateExtensions.Add(names.Build());
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(false, false, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.DigitalSignature, true));
        request.CertificateExtensions.Add(new X509EnhancedKeyUsageExtension([new Oid("1.3.6.1.5.5.7.3.1")], false));
        var until = DateTimeOffset.FromUnixTimeSeconds(
            Math.Min(
                now.AddDays(ServerDays).ToUnixTimeSeconds(),
                new DateTimeOffset(authority.NotAfter.ToUniversalTime()).ToUnixTimeSeconds()
            )
        );
        using var made = request.Create(authority, now.AddDays(-1), until, RandomNumberGenerator.GetBytes(16));
        // Kestrel wants a key that lives beside its certificate.
        using var whole = made.CopyWithPrivateKey(key);
        return X509CertificateLoader.LoadPkcs12(whole.Export(X509ContentType.Pkcs12), null);
    }
}

using System.Net;
using BrightKettle.Data;
using BrightKettle.Server.Settings;

namespace BrightKettle.Server.Pairing;

/// <summary>Opens the door to the network, when the kettle was started with one.</summary>
public static class Lan
{
    /// <summary>Listens on the network's port by HTTPS, beside this machine's own address.</summary>
    public static void Listen(WebApplicationBuilder builder)
    {
        ArgumentNullException.ThrowIfNull(builder);
        var options = builder.Configuration.GetSection(KettleOptions.Section).Get<KettleOptions>() ?? new();
        if (options.LanPort == 0)
        {
            return;
        }

        builder.Services.AddSingleton(s =>
            LanCertificate.In(s.GetRequiredService<DataDirectory>().Path, s.GetRequiredService<TimeProvider>().GetUtcNow())
        );
        // Phones come by addresses that change; names that only point here are turned away by PairedOnly.
        builder.Configuration["AllowedHosts"] = "*";
        var own = new Uri((builder.Configuration["urls"] ?? "http://127.0.0.1:5270").Split(';')[0]);
        builder.WebHost.ConfigureKestrel(kestrel =>
        {
            // Endpoints set here replace those of --urls, so this machine's own is set again.
            kestrel.Listen(IPAddress.Loopback, own.Port);
            // Asked for with the first phone: the folder is looked at before, and a damaged certificate is said there.
            kestrel.ListenAnyIP(options.LanPort, listen =>
                listen.UseHttps(https =>
                    https.ServerCertificateSelector = (_, _) => kestrel.ApplicationServices.GetRequiredService<LanCertificate>().Server
                )
            );
        });
    }
}

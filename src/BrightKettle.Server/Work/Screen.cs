using System.Net;

namespace BrightKettle.Server.Work;

/// <summary>Which screen a request comes from: a paired device, or the machine on which the kettle runs. Work and streams are shared out
/// by it.</summary>
public static class Screen
{
    private const string DeviceKey = "kettle.device";

    /// <summary>The name of a request's screen.</summary>
    public static string Of(HttpContext context)
    {
        ArgumentNullException.ThrowIfNull(context);
        return context.Items[DeviceKey] is Guid device ? Of(device) : "own";
    }

    public static string Of(Guid device) => $"device {device:n}";

    /// <summary>Says which paired device a request comes from.</summary>
    public static void Set(HttpContext context, Guid device)
    {
        ArgumentNullException.ThrowIfNull(context);
        context.Items[DeviceKey] = device;
    }

    /// <summary>Whether a request comes from the machine on which the kettle runs.</summary>
    public static bool IsOwn(HttpContext context)
    {
        ArgumentNullException.ThrowIfNull(context);
        // A server inside a test has no addresses at all.
        return !context.Request.IsHttps && (context.Connection.RemoteIpAddress is not { } from || IPAddress.IsLoopback(from));
    }
}

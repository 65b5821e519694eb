namespace BrightKettle.Core.Catalogue;

/// <summary>How a bag was kept; each has its curve in curves.json.</summary>
public enum Storage
{
    /// <summary>10 °C or less, very dry.</summary>
    Cool,

    /// <summary>An ordinary cupboard at 20 °C.</summary>
    Cupboard,

    /// <summary>25 to 30 °C and humid.</summary>
    Warm,

    /// <summary>35 to 40 °C and very humid.</summary>
    Hot,
}

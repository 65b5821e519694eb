namespace BrightKettle.Core.Cooking;

/// <summary>Names of the moments that a plan shows; they travel with the action that makes them.</summary>
public static class StepIds
{
    public const string SoakStarts = "soak_starts";
    public const string SoakEnds = "soak_ends";

    /// <summary>The bowl goes into the fridge with its water, which is kept.</summary>
    public const string SoakChilled = "soak_chilled";
    public const string RiceSoakStarts = "rice_soak_starts";
    public const string Light = "light";

    /// <summary>The short boil of a quick soak is over: flame off, lid on.</summary>
    public const string QuickSoak = "quick_soak";

    /// <summary>The lid is locked.</summary>
    public const string Lock = "lock";

    /// <summary>The pressure has been held long enough: heat off, left alone.</summary>
    public const string HoldOver = "hold_over";

    /// <summary>The pin is down and the lid comes off.</summary>
    public const string Opened = "opened";

    /// <summary>Into the slow cooker.</summary>
    public const string SlowStarts = "slow_starts";

    /// <summary>Over from the pot: the crock waits for it, and its start is what is told.</summary>
    public const string IntoCrock = "into_crock";

    /// <summary>Out of the slow cooker, back into the pot.</summary>
    public const string BackInPot = "into_pot";

    /// <summary>The full boil is seen; for a pulse with lectin the hard boil counts from here.</summary>
    public const string Boils = "boils";
    public const string HardBoilOver = "hard_boil_over";

    /// <summary>Looked at and far enough: the flame goes out and they wait.</summary>
    public const string Ready = "ready";

    /// <summary>What waits, or has waited without a flame, boils up.</summary>
    public const string BoilUp = "boil_up";

    /// <summary>What waited hot is turned off, since the house is left.</summary>
    public const string OffToGo = "off_to_go";

    /// <summary>Back at the boil after the house was empty: it waits hot.</summary>
    public const string BackHot = "back_hot";

    /// <summary>Par-cooked pulses are drained, for the rice to have fresh water.</summary>
    public const string Drained = "drained";

    /// <summary>The liquor of cooked pulses is poured over into another pot.</summary>
    public const string Poured = "poured";

    /// <summary>Cooked pulses are lifted out of their liquor, in which the rice is cooked.</summary>
    public const string Lifted = "lifted";

    /// <summary>They go back on the rice.</summary>
    public const string PutBack = "put_back";

    /// <summary>What is fried first goes into the hot pot.</summary>
    public const string Base = "base";

    /// <summary>A part of the pulses is crushed.</summary>
    public const string Mash = "mash";

    /// <summary>What seasons them simmers on low.</summary>
    public const string Season = "season";

    /// <summary>The liquor is bound with starch.</summary>
    public const string Bind = "bind";

    /// <summary>Rice and pulses are folded together.</summary>
    public const string Fold = "fold";

    /// <summary>The liquor is measured and set.</summary>
    public const string SetLiquor = "measure";

    /// <summary>The second ingredient goes in.</summary>
    public const string Join = "join";

    /// <summary>Salt goes in.</summary>
    public const string Salt = "salt";

    /// <summary>A further, quicker pulse goes in.</summary>
    public const string OtherIn = "other_in";

    /// <summary>A further pulse is looked at and soft.</summary>
    public const string OtherSoft = "other_soft";

    /// <summary>Something beside pulses and rice goes in.</summary>
    public const string ExtraIn = "extra_in";

    /// <summary>Leaves, sticks or a chilli come out.</summary>
    public const string TakeOut = "take_out";

    /// <summary>Rice in a pot of its own: lit, boils, off, rested.</summary>
    public const string RiceLight = "rice_light";
    public const string RiceBoils = "rice_boils";
    public const string RiceOff = "rice_off";

    /// <summary>What is fried in the rice's own pot before it.</summary>
    public const string RiceBase = "rice_base";

    /// <summary>The same rice is done, and stays on the flame for its crust.</summary>
    public const string RiceCrust = "rice_crust";

    /// <summary>The same rice in a rice cooker, which goes over to warm by itself.</summary>
    public const string RiceWarm = "rice_warm";

    /// <summary>The same rice in plenty of water: it goes in at the boil; when it is far enough its flame goes out, and it is drained.</summary>
    public const string RiceIn = "rice_in";
    public const string RiceDrained = "rice_drained";

    /// <summary>Rice in a pot of its own has rested.</summary>
    public const string RiceRested = "rice_rested";

    /// <summary>Rice and its water are in the bowl that goes above the pulses.</summary>
    public const string RiceBowl = "rice_bowl";

    /// <summary>That bowl is lifted out.</summary>
    public const string RiceOut = "rice_out";
    public const string Seal = "seal";
    public const string HeatOff = "heat_off";

    /// <summary>What has waited off the heat is brought back to the boil.</summary>
    public const string Reheat = "reheat";
    public const string Finish = "finish";
    public const string Table = "table";
}

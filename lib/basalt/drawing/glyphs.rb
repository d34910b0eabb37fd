# frozen_string_literal: true

module Basalt
  module Drawing
    # Line glyphs on a grid of 24 px, drawn from what a thing does.
    module Glyphs
      SIDE = 24

      PATHS = {
        # a choice of ways
        "router" => "M12 21V12M12 12L5 5M12 12L19 5M12 12V4M5 9V5H9M19 9V5H15",
        # rows and columns that can be joined at any crossing
        "switch" => "M4 7H20M4 12H20M4 17H20M8 4V20M16 4V20",
        # a sieve
        "firewall" => "M3 5H21L14 13V20L10 18V13ZM7 5L12 10L17 5",
        # shelves
        "server" => "M4 4H20V20H4ZM4 9.3H20M4 14.6H20M7 6.7H9M7 12H9M7 17.3H9",
        # a drum with strata
        "storage" =>
          "M4 6C4 3.5 20 3.5 20 6V18C20 20.5 4 20.5 4 18ZM4 6C4 8.5 20 8.5 20 6M4 10C4 12.5 20 12.5 20 10M4 14C4 16.5 20 16.5 20 14",
        # a desk with a screen on it
        "workstation" => "M5 4H19V14H5ZM12 14V17M3 17H21M5 17V21M19 17V21",
        # an ear and a mouth
        "phone" => "M7 3H17V21H7ZM10 6H14M10 17H14M10 19H14",
        # a mast and its waves
        "access point" => "M12 21V11M8 21H16M9 8A4 4 0 0 1 15 8M6 5A8 8 0 0 1 18 5M12 11A0.6 0.6 0 0 1 12 10",
        # a chip with its legs
        "controller" => "M6 6H18V18H6ZM9 3V6M15 3V6M9 18V21M15 18V21M3 9H6M3 15H6M18 9H21M18 15H21",
        # a probe in a stream
        "sensor" => "M12 3V13M9 13A3 3 0 1 0 15 13ZM3 20C6 17 9 22 12 20S18 18 21 20",
        # a sheet that comes out
        "printer" => "M7 9V3H17V9M4 9H20V17H4ZM7 14H17V21H7ZM9 17H15",
        # two rows of holes
        "shelf" => "M3 15H21M5 15V19M19 15V19M8 15V8H16V15",
        "blank" => "M3 8H21V16H3Z",
        "patch panel" => "M3 6H21V18H3ZM7 9.5H7.1M12 9.5H12.1M17 9.5H17.1M7 14.5H7.1M12 14.5H12.1M17 14.5H17.1",
        # a beam on its pivot
        "load balancer" => "M12 8V20M8 20H16M4 8H20M4 8L2 13H6ZM20 8L18 13H22ZM12 4V8",
        # a wave that becomes steps
        "modem" => "M2 12C4 5 6 5 8 12S11 17 12 12M12 12V7H15V17H18V7H21V12",
        # a cell with its charge
        "ups" => "M6 7H18V21H6ZM10 4H14V7M13 10L9 15H15L11 19",
        # a row of outlets
        "power strip" => "M2 8H22V16H2ZM6 11V13M11 11V13M16 11V13M19 11V13",
        "device" => "M5 5H19V19H5ZM9 9H15V15H9Z",
        # the open country beyond: hills under a rim
        "internet" => "M12 3A9 9 0 1 0 12 21A9 9 0 1 0 12 3M3.6 9C8 12 16 12 20.4 9M3.6 15C8 12 16 12 20.4 15M12 3V21",
        # a pole line
        "provider" => "M7 21V4M17 21V4M4 7H10M14 7H20M4 11H10M14 11H20M10 7C12 9 12 9 14 7M10 11C12 13 12 13 14 11",
        # spatial_index seen from above
        "country" => "M4 8L9 4L15 7L20 5V16L15 20L9 17L4 20ZM9 4V17M15 7V20",
        "site" => "M3 20H21M6 20V11L12 6L18 11V20M10 20V15H14V20",
        "building" => "M6 21V3H18V21M3 21H21M9.5 7H10.5M13.5 7H14.5M9.5 11H10.5M13.5 11H14.5M9.5 15H10.5M13.5 15H14.5",
        # one level between two others
        "floor" => "M4 4H20M4 10H20V14H4ZM4 20H20M6 4V10M18 4V10M6 14V20M18 14V20",
        # cabinets beside each other
        "row" => "M2 6H8V19H2ZM9 6H15V19H9ZM16 6H22V19H16ZM4 9H6M11 9H13M18 9H20",
        "room" => "M4 4H20V20H14M4 4V20H9M9 20A5 5 0 0 1 14 15V20",
        "rack" => "M6 3H18V21H6ZM8.5 6H15.5M8.5 9H15.5M8.5 12H15.5M8.5 15H15.5M8.5 18H15.5"
      }.freeze

      def self.path(name) = PATHS.fetch(name, PATHS["device"])
    end
  end
end

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
        "rack" => "M6 3H18V21H6ZM8.5 6H15.5M8.5 9H15.5M8.5 12H15.5M8.5 15H15.5M8.5 18H15.5",
        # a wheel that turns in its case
        "machine" => "M4 5H20V19H4ZM12 9A3 3 0 1 0 12 15A3 3 0 1 0 12 9M12 7V9M12 15V17M7 12H9M15 12H17",
        # one case behind another
        "machine group" => "M4 9H15V20H4ZM8 9V6.5H17.5V16H15M11 6.5V4H20V13H17.5",
        # something goes in, is turned and comes out
        "function" => "M3 12H9M15 12H21M18 9L21 12L18 15M12 9A3 3 0 1 0 12 15A3 3 0 1 0 12 9",
        # crates on each other
        "container service" => "M4 13H11V20H4ZM13 13H20V20H13ZM8.5 4H15.5V11H8.5Z",
        # a shelf at the rim
        "edge cache" => "M3 20A17 17 0 0 1 20 3M3 13A10 10 0 0 1 13 3M12 13H20V20H12ZM12 16.5H20",
        # an arch and the way through it
        "internet gateway" => "M5 21V10A7 7 0 0 1 19 10V21M12 21V11M9 14L12 11L15 14",
        # one for the other, both ways
        "address translation" => "M3 8H17M14 5L17 8L14 11M21 16H7M10 13L7 16L10 19",
        # a line in a sleeve
        "private attachment" => "M2 12H22M6 8H18V16H6ZM9 8V16M15 8V16",
        # a counter with its windows
        "API front" => "M3 5H21V19H3ZM3 10H21M9 5V10M15 5V10M7 14.5H17",
        # things of any shape in a tray
        "object store" => "M3 16V20H21V16M5 9H10V14H5ZM16 8.5A2.8 2.8 0 1 0 16 14A2.8 2.8 0 1 0 16 8.5M12 3L15 7H9Z",
        # folders that hang
        "file store" => "M3 6H10L12 8H21V20H3ZM3 12H21M9 15.5H15",
        # rows and columns
        "relational store" => "M4 4H20V20H4ZM4 9H20M4 14.5H20M10 4V20",
        # what one asks by, and what one gets
        "key-value store" => "M3 6H9V11H3ZM3 13H9V18H3ZM14 4H21V20H14ZM9 8.5H14M9 15.5H14",
        # a pocket that things are quickly taken from
        "cache" => "M4 9V20H20V9M4 13C8 17 16 17 20 13M12 11V3M9 6L12 3L15 6",
        # those that wait in a row
        "queue" => "M3 7H8V15H3ZM9.5 7H14.5V15H9.5ZM16 7H21V15H16ZM3 19H20M17 16.5L20 19L17 21.5",
        # one says it, many hear it
        "topic" => "M3 12H9M9 12L18 5M9 12H20M9 12L18 19M14.5 5H18V8.5M17 9L20 12L17 15M14.5 19H18V15.5",
        # one after the other, without end
        "stream" => "M3 8C6 5 9 11 12 8S18 5 21 8M3 13C6 10 9 16 12 13S18 10 21 13M3 18C6 15 9 21 12 18S18 15 21 18",
        # a badge on its string
        "identity service" => "M6 5H18V21H6ZM10 5V3H14V5M12 8.5A2.2 2.2 0 1 0 12 13A2.2 2.2 0 1 0 12 8.5M8.5 18C8.5 14.5 15.5 14.5 15.5 18",
        # a letter that leaves
        "mail sender" => "M3 7H16V17H3ZM3 7L9.5 12.5L16 7M18 9.5H22M18 14.5H21",
        # a signpost
        "name service" => "M12 3V21M12 5H19L21 7.5L19 10H12M12 12H5L3 14.5L5 17H12",
        # a lid with its hole for a key
        "secret store" => "M4 9H20V20H4ZM7 9V6H17V9M12 12.5A1.4 1.4 0 1 0 12 15.3A1.4 1.4 0 1 0 12 12.5M12 15.3V17.5",
        # a dial with its hand
        "scheduler" => "M12 4A8 8 0 1 0 12 20A8 8 0 1 0 12 4M12 8V12L15 14M12 2V4",
        # lines on a strip that is torn off
        "log store" => "M6 3H18V21L15 19L12 21L9 19L6 21ZM9 7H15M9 11H15M9 15H12",
        # one that may and one that may not
        "access list" => "M5 4H19V20H5ZM8 9L9.5 10.5L12 7.5M8 14L11 17M11 14L8 17M14 9H16M14 15.5H16",
        # a way that parts, written down
        "route table" => "M5 4H19V20H5ZM8 12H12M12 12L16 8M12 12L16 16",
        # somebody with something in front of them
        "client" => "M8 4A3 3 0 1 0 8 10A3 3 0 1 0 8 4M3 20C3 13 13 13 13 20M16 8H21V20H16ZM18 18H19"
      }.freeze

      def self.path(name) = PATHS.fetch(name, PATHS["device"])
    end
  end
end

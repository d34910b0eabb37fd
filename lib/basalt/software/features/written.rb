# frozen_string_literal: true

module Basalt
  module Software
    module Features
      # How what stands behind a name is written.
      module Written
        # @return [String] name and type, and what is said of them
        def written(name, type, default = nil)
          [
            "#{name}#{": #{type}" if type}",
            ("[#{multiplicity}]" if multiplicity),
            ("= #{default}" if default),
            ("{#{modifiers.join(", ")}}" if modifiers.any?)
          ].compact.join(" ")
        end
      end
    end
  end
end

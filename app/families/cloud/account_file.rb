# frozen_string_literal: true

module Web
  module Families
    module Cloud
      # A file that holds an account: its inventory in JSON, or a service template in YAML.
      module AccountFile
        YAML = %w[.yaml .yml].freeze
        ENDINGS = [".json", *YAML].freeze

        module_function

        # @param name [String] of the file, by whose ending it is read
        # @param bytes [String]
        # @return [Array(Basalt::Cloud::Inventory::Reader, Array<String>)] what it holds, and what of it was left out
        # @raise [Basalt::Mistake]
        def read(name, bytes)
          return [Basalt::Cloud::Inventory::Reader.new(bytes), []] unless YAML.include?(File.extname(name).downcase)

          template = Basalt::Cloud::Tosca::Reader.new(bytes, File.basename(name, ".*"))
          [template.inventory, template.left]
        end
      end
    end
  end
end

# frozen_string_literal: true

module Web
  module Families
    module Cloud
      # The inventory of an account, from a file.
      module Importer
        module_function

        def endings = AccountFile::ENDINGS
        def sheet = ["Cloud account", Basalt::Cloud::Notation::Architecture::NAME]

        # @return [Boolean] whether a file of such an ending is one
        def reads?(bytes)
          head = bytes.byteslice(0, 4000).to_s.b
          head.include?("\"#{Basalt::Cloud::Inventory::Reader::FORMAT}\"".b) || head.include?("tosca_definitions_version".b)
        end

        # @return [CommandLine::Import::Told]
        def into(draft, bytes, sheet_id:, name: "account.json")
          reader, left = AccountFile.read(name, bytes)
          comparison = Basalt::Cloud::Inventory::Comparison.new(reader, draft)
          told = "#{comparison.added.length} new, #{comparison.altered.length} altered, #{comparison.gone.length} gone"
          Basalt::Cloud::Inventory::Intake.new(comparison, draft).take
          draft.of_kind(Basalt::Cloud::Kinds::BOUNDARY, Basalt::Cloud::Kinds::RESOURCE).each do |one|
            draft.apply(Basalt::Change::Show.new(sheet_id:, element_id: one.id)) if one.external_id
          end
          CommandLine::Import::Told.new([*left.map { |line| "left out: #{line}" }, told], left.empty?)
        end
      end
    end
  end
end

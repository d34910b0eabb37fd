# frozen_string_literal: true

module Web
  module Families
    module Software
      # Source code, tags or XMI, from a file or a folder.
      module Importer
        module_function

        def endings = CodeFile::TYPES.keys
        def sheet = %w[Classes classes]

        # @param folder [String]
        # @return [Boolean] whether it reads what is in a folder
        def folder?(folder) = Dir.glob("**/*.rb", base: folder).any?

        # @param bytes [String]
        # @param name [String] of the file
        # @return [CommandLine::Import::Told]
        def into(draft, bytes, sheet_id:, name: "source.rb")
          told(draft, CodeFile.new(name, bytes), sheet_id)
        end

        def from_folder(draft, folder, sheet_id:)
          structure = Basalt::Software::Reverse::RubySource.read(CodeFile.folder(folder))
          Basalt::Software::Reverse::Intake.new(structure, draft).into(draft)
          shown(draft, structure.skipped, sheet_id)
        end

        def told(draft, file, sheet_id)
          file.into(draft)
          shown(draft, file.skipped, sheet_id)
        end

        def shown(draft, skipped, sheet_id)
          found = draft.of_kind("class", "package")
          found.each { |one| draft.apply(Basalt::Change::Show.new(sheet_id:, element_id: one.id)) }
          counted = found.count { |one| one.kind == "class" }
          taken = "#{Basalt::English.count(counted, "class", "classes")} in the model, #{skipped.length} left out"
          CommandLine::Import::Told.new([*skipped.map { |name, why| "#{name}: #{why}" }, taken], skipped.empty?)
        end
      end
    end
  end
end

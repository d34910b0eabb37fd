# frozen_string_literal: true

module Web
  module Families
    module Brief
      # The words of the sample's sources, in files of their names.
      module SourceSamples
        module_function

        # @param folder [String] of the sample
        def fill(project, set, folder)
          set
            .of_kind("source")
            .each do |source|
              Store::SourceText.keep(project.id, source.id, 1, File.read(File.join(folder, "sources", "#{source.name}.md")), "sample")
            end
        end
      end
    end
  end
end

# frozen_string_literal: true

module Web
  # What works the tasks of the queue, those of the families with the application's own.
  module Tasks
    module_function

    # @return [Hash{String => #call}]
    def workers = { "export" => ExportWork, "set" => SetWork }.merge(*Extensions.gather(:tasks))
  end
end

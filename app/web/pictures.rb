# frozen_string_literal: true

require "base64"

module Web
  # Where images are found: by address in a page, whole in a file.
  module Pictures
    module_function

    # @return [#call]
    def linked(project_id) = ->(id) { "/projects/#{project_id}/images/#{id}" }

    # @return [#call]
    def embedded(project_id)
      lambda do |id|
        image = Store::Image.find_by(project_id:, id:)
        image && "data:#{image.type};base64,#{Base64.strict_encode64(image.content)}"
      end
    end
  end
end

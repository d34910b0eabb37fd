# frozen_string_literal: true

# Puts the gems on the load path, and keeps the source that Ruby has compiled.
#
# Where the gems lie was written down when they were installed: commands on files are begun with that, and without RubyGems, which
# takes longer to load than a small file has. It is loaded for whoever asks for it all the same. Where that was not handed over,
# Bundler works it out anew.
unless defined?(Gem)
  Object.autoload(:Gem, "rubygems")

  module Kernel
    private

    # All gems are at hand. RubyGems, once loaded, puts its own in this place.
    def gem(*) = true
  end
end

require ENV.fetch("GEM_PLACES", "bundler/setup")
require "bootsnap"

# Looking up paths by a table would want RubyGems, and takes longer than it saves.
File.expand_path("../tmp", __dir__).tap do |folder|
  Dir.mkdir(folder) if !File.exist?(folder) && File.writable?(File.dirname(folder))
  Bootsnap.setup(cache_dir: folder, load_path_cache: false, compile_cache_yaml: false, readonly: !File.writable?(folder))
end

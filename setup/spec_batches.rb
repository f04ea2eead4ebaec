# frozen_string_literal: true

require_relative "shell"

module Setup
  # The specs of a part of the house in batches that can run side by side: so many files of a part together. Each file
  # in the browser begins with a book of its own.
  class SpecBatches
    FILES = {"core" => 30, "app" => 15, "browser" => 1}.freeze

    def initialize(*parts) = @parts = parts

    # Name → files, in the order in which they are to begin: a browser beside what needs none, so that seldom two share
    # the processors.
    def to_h
      seen, unseen = @parts.partition { |part| part == "browser" }.map { |some| some.flat_map { |part| batches(part) } }
      most = [seen.length, unseen.length].max
      Array.new(most) { |index| [seen[index], unseen[index]] }.flatten(1).compact.to_h
    end

    private

    # Files are dealt out by their size, so that batches take about as long.
    def batches(part)
      files = Dir[File.join(Shell::ROOT, "spec/#{part}/*_spec.rb")].sort_by { |file| -File.size(file) }
      hands = (files.length / FILES.fetch(part).to_f).ceil
      dealt = files.each_with_index.group_by { |_, index| index % hands }.values
      dealt.each_with_index.map { |hand, index| ["#{part} #{index + 1} of #{hands}", hand.map(&:first)] }
    end
  end
end

# frozen_string_literal: true

module App
  # A feature's shape in the reference that its book is about to be drawn in.
  class ReprojectedShape < ActiveRecord::Base
    belongs_to :reprojection

    attribute :shape, GeometryType.new
  end
end
